<?php

declare(strict_types=1);

namespace MuteTapper\Core\Head;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Valve lift left after lash, for a solid follower with lash measured at the valve. */
final class NetLiftSolid implements Calculation
{
    public function name(): string
    {
        return 'net-lift-solid';
    }

    public function title(): string
    {
        return 'Net valve lift, solid follower';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('lobe_lift', 'lift at the lobe', Dimension::Length),
            Input::scalar('ratio', 'rocker ratio, 1 for direct drive', Dimension::Ratio),
            Input::scalar('lash', 'lash at the valve', Dimension::Length),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Length;
    }

    public function formula(): string
    {
        return 'lobe lift × ratio − lash';
    }

    public function source(): Source
    {
        return Source::practice();
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('lobe_lift')->times($values->one('ratio'), Dimension::Length)->minus($values->one('lash'));
    }
}
