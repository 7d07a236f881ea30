<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

use MuteTapper\Core\Quantity\Dimension;

/** Signed difference between what was found and what was claimed, of any dimension. */
final class Departure
{
    public static function of(Dimension $dimension): LinearForm
    {
        return LinearForm::of('departure', 'Departure from what was claimed', $dimension, 'found − claimed', Source::own())
            ->plus('found', 'as found')->minus('claimed', 'as claimed');
    }
}
