<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Load of a spring at a height near one at which it was measured. */
final class LoadAtHeight implements Calculation
{
    public function name(): string
    {
        return 'spring-load-at-height';
    }

    public function title(): string
    {
        return 'Spring load at another height';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('load', 'load measured', Dimension::Force),
            Input::scalar('height', 'height at which it was measured', Dimension::Length),
            Input::scalar('rate', 'rate between the two heights', Dimension::Stiffness),
            Input::scalar('wanted_height', 'height at which the load is wanted', Dimension::Length),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Force;
    }

    public function formula(): string
    {
        return 'load + rate × (height measured − height wanted)';
    }

    public function source(): Source
    {
        return Source::practice();
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('load')->plus(
            $values->one('rate')->times($values->one('height')->minus($values->one('wanted_height')), Dimension::Force),
        );
    }
}
