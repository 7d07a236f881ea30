<?php

declare(strict_types=1);

namespace MuteTapper\App\Tried;

use MuteTapper\Core\Calculation\LongCalculation;
use MuteTapper\Core\Calculation\Solution;
use MuteTapper\Core\Calculation\Solutions;

/** Looks solutions up and remembers whether one was asked for that nobody worked out. */
final class WatchedSolutions implements Solutions
{
    private bool $isLeft = false;

    public function __construct(private readonly Solutions $solutions)
    {
    }

    public function of(LongCalculation $calculation, array $figures): ?Solution
    {
        $solution = $this->solutions->of($calculation, $figures);
        $this->isLeft = $this->isLeft || $solution === null;

        return $solution;
    }

    /** Whether anything that was asked for is not worked out. */
    public function isLeft(): bool
    {
        return $this->isLeft;
    }
}
