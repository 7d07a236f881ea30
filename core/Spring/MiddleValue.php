<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Median of the loads of one kind at one height. */
final class MiddleValue implements Calculation
{
    public function name(): string
    {
        return 'middle-value';
    }

    public function title(): string
    {
        return 'Middle value of a set';
    }

    public function inputs(): array
    {
        return [
            Input::list('loads', 'loads of the set', Dimension::Force),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Force;
    }

    public function formula(): string
    {
        return 'median of the set';
    }

    public function source(): Source
    {
        return Source::published('median; any text on statistics');
    }

    public function compute(Values $values): Uncertain
    {
        return Uncertain::median($values->all('loads'));
    }
}
