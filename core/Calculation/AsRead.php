<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** No calculation: a value as its gauge showed it, or as it was claimed. */
final readonly class AsRead implements Calculation
{
    public function __construct(private Dimension $dimension)
    {
    }

    public function name(): string
    {
        return 'as-read';
    }

    public function title(): string
    {
        return 'As read';
    }

    public function inputs(): array
    {
        return [Input::scalar('value', 'the value itself', $this->dimension)];
    }

    public function resultDimension(): Dimension
    {
        return $this->dimension;
    }

    public function formula(): string
    {
        return 'as read';
    }

    public function source(): Source
    {
        return Source::own('no computation');
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('value');
    }
}
