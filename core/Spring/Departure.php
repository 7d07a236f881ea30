<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Signed difference between a length found and the length claimed. */
final class Departure implements Calculation
{
    public function name(): string
    {
        return 'departure';
    }

    public function title(): string
    {
        return 'Departure from what was claimed';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('found', 'as found', Dimension::Length),
            Input::scalar('claimed', 'as claimed', Dimension::Length),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Length;
    }

    public function formula(): string
    {
        return 'found − claimed';
    }

    public function source(): Source
    {
        return Source::own();
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('found')->minus($values->one('claimed'));
    }
}
