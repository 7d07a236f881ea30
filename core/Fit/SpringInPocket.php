<?php

declare(strict_types=1);

namespace MuteTapper\Core\Fit;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Diametral clearance of the spring in its pocket. */
final class SpringInPocket implements Calculation
{
    public function name(): string
    {
        return 'spring-in-pocket';
    }

    public function title(): string
    {
        return 'Spring in pocket';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('pocket_diameter', 'pocket diameter', Dimension::Length),
            Input::scalar('outside_diameter', 'outside diameter of the spring', Dimension::Length),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Length;
    }

    public function formula(): string
    {
        return 'pocket diameter − spring outside diameter';
    }

    public function source(): Source
    {
        return Source::practice('the spring must drop in without pressing');
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('pocket_diameter')->minus($values->one('outside_diameter'));
    }
}
