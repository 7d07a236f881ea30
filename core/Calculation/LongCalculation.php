<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

/** A calculation that takes too long to be made whenever its value is asked for: it is solved once for its figures, and that is kept. */
interface LongCalculation extends Calculation
{
    /**
     * @param array<string, list<float>> $figures by input, in base units
     *
     * @throws Contradiction when the figures cannot all be right
     */
    public function solve(array $figures): Solution;
}
