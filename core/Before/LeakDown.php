<?php

declare(strict_types=1);

namespace MuteTapper\Core\Before;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** What a cylinder leaks at top dead centre, in per cent of the supply, as the tester reads it. */
final class LeakDown implements Calculation
{
    public function name(): string
    {
        return 'leak-down';
    }

    public function title(): string
    {
        return 'Leak-down';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('leak_down', 'leak-down as read', Dimension::Percent),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Percent;
    }

    public function formula(): string
    {
        return 'as read';
    }

    public function source(): Source
    {
        return Source::practice();
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('leak_down');
    }
}
