<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

use MuteTapper\Core\Quantity\Dimension;

/** Signed difference of what was found from what it is held against, of any dimension. */
final class Departure
{
    public static function of(Dimension $dimension): LinearForm
    {
        return LinearForm::of('departure', 'Departure from what was claimed', $dimension, 'found − claimed', Source::own())
            ->plus('found', 'as found')->minus('claimed', 'as claimed');
    }

    /** From the middle value of the set that it stands in. */
    public static function fromMiddle(Dimension $dimension): LinearForm
    {
        return LinearForm::of(
            'from-middle-of-'.$dimension->value, 'Departure from the middle value of a set: '.str_replace('_', ' ', $dimension->value),
            $dimension, 'found − middle value', Source::practice('what differs from its like is another part, or has changed'),
        )->plus('found', 'as found')->minus('middle', 'middle value of the set');
    }
}
