<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

/** Nothing that takes long is known. */
final readonly class NoneSolved implements Solutions
{
    public function of(LongCalculation $calculation, array $figures): ?Solution
    {
        return null;
    }
}
