<?php

declare(strict_types=1);

namespace MuteTapper\Core\Before;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Change of a valve’s departure from the middle value between two dates, in points of per cent. */
final class PullDrift implements Calculation
{
    public function name(): string
    {
        return 'pull-drift';
    }

    public function title(): string
    {
        return 'Change of a seat-load pull against the others';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('now', 'departure from the middle value now', Dimension::Percent),
            Input::scalar('before', 'departure at the earlier date', Dimension::Percent),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Percent;
    }

    public function formula(): string
    {
        return 'now − before';
    }

    public function source(): Source
    {
        return Source::own('a lever tester repeats well but reads off: only the departure from the middle value can be followed over dates');
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('now')->minus($values->one('before'));
    }
}
