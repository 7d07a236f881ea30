<?php

declare(strict_types=1);

namespace MuteTapper\Core\Before;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Change of the lash at one valve between two dates: positive grew. */
final class LashDrift implements Calculation
{
    public function name(): string
    {
        return 'lash-drift';
    }

    public function title(): string
    {
        return 'Change of lash';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('now', 'lash now', Dimension::Length),
            Input::scalar('before', 'lash at the earlier date', Dimension::Length),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Length;
    }

    public function formula(): string
    {
        return 'now − before';
    }

    public function source(): Source
    {
        return Source::practice('a valve that drifts is flagged before it breaks');
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('now')->minus($values->one('before'));
    }
}
