<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

use MuteTapper\Core\Quantity\Dimension;

/** One declared input of a calculation. */
final readonly class Input
{
    private function __construct(public string $name, public string $meaning, public Dimension $dimension, public bool $isList)
    {
    }

    public static function scalar(string $name, string $meaning, Dimension $dimension): self
    {
        return new self($name, $meaning, $dimension, false);
    }

    public static function list(string $name, string $meaning, Dimension $dimension): self
    {
        return new self($name, $meaning, $dimension, true);
    }
}
