<?php

declare(strict_types=1);

namespace MuteTapper\Core\Clearance;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Lift that a spring still allows with a locator or shims under it. */
final class UsableLift implements Calculation
{
    public function name(): string
    {
        return 'usable-lift';
    }

    public function title(): string
    {
        return 'Usable lift';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('rated_lift', 'lift that the spring allows without it', Dimension::Length),
            Input::scalar('thickness', 'thickness of locator and shims', Dimension::Length),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Length;
    }

    public function formula(): string
    {
        return 'rated lift − thickness';
    }

    public function source(): Source
    {
        return Source::practice();
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('rated_lift')->minus($values->one('thickness'));
    }
}
