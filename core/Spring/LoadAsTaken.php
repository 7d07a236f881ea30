<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Load of a spring at the height at which it was measured: needs no rate, and serves no other height. */
final class LoadAsTaken implements Calculation
{
    /** Heights nearer than this count as one, in metres. */
    private const SAME_HEIGHT = 5e-6;

    public function name(): string
    {
        return 'spring-load-as-taken';
    }

    public function title(): string
    {
        return 'Spring load at its test height';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('load', 'load measured', Dimension::Force),
            Input::scalar('height', 'height at which it was measured', Dimension::Length),
            Input::scalar('wanted_height', 'height at which the load is wanted', Dimension::Length),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Force;
    }

    public function formula(): string
    {
        return 'load as taken, at the same height';
    }

    public function source(): Source
    {
        return Source::practice('loads are compared at equal heights only');
    }

    public function compute(Values $values): Uncertain
    {
        if (abs($values->one('height')->base - $values->one('wanted_height')->base) > self::SAME_HEIGHT) {
            throw Contradiction::because(
                'The load was taken at another height than it is claimed for, and the rate is not known: take a second load.',
            );
        }

        return $values->one('load');
    }
}
