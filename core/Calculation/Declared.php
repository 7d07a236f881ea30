<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

use MuteTapper\Core\Quantity\Dimension;

/** What a calculation says of itself, where it was handed over with its declaration. */
trait Declared
{
    public function name(): string
    {
        return $this->name;
    }

    public function title(): string
    {
        return $this->title;
    }

    public function resultDimension(): Dimension
    {
        return $this->dimension;
    }

    public function formula(): string
    {
        return $this->formula;
    }

    public function source(): Source
    {
        return $this->source;
    }
}
