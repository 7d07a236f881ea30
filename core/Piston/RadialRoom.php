<?php

declare(strict_types=1);

namespace MuteTapper\Core\Piston;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Room of a valve within its relief, on one side, where both stand on one centre. */
final class RadialRoom implements Calculation
{
    public function name(): string
    {
        return 'radial-room';
    }

    public function title(): string
    {
        return 'Relief around the valve';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('relief_radius', 'radius of the relief', Dimension::Length),
            Input::scalar('head_diameter', 'diameter of the valve head', Dimension::Length),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Length;
    }

    public function formula(): string
    {
        return 'relief radius − head diameter ÷ 2';
    }

    public function source(): Source
    {
        return Source::practice('an offset of the centres takes from it: the valve’s edge laid in the relief shows it');
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('relief_radius')->minus($values->one('head_diameter')->scaled(0.5));
    }
}
