<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

use MuteTapper\Core\Quantity\Uncertain;

/** A value handed to a calculation, with where it came from in words. */
final readonly class Given
{
    public function __construct(public Uncertain $value, public string $origin)
    {
    }
}
