<?php

declare(strict_types=1);

namespace MuteTapper\Core\Clearance;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Cold clearance less the growth and stretch of the running engine. */
final class GrowthClearance implements Calculation
{
    public function name(): string
    {
        return 'clearance-after-growth';
    }

    public function title(): string
    {
        return 'Piston to valve after growth';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('cold_clearance', 'clearance measured cold', Dimension::Length),
            Input::scalar('growth', 'growth and rod stretch at speed', Dimension::Length),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Length;
    }

    public function formula(): string
    {
        return 'cold clearance − growth';
    }

    public function source(): Source
    {
        return Source::practice('a negative sum is no proof of contact: range and witness marks decide');
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('cold_clearance')->minus($values->one('growth'));
    }
}
