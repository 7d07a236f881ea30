<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

/** Where solutions of long calculations come from: worked out at once, or looked up where they are kept. */
interface Solutions
{
    /**
     * @param array<string, list<float>> $figures by input, in base units
     *
     * @return Solution|null null while it is not worked out
     *
     * @throws Contradiction
     */
    public function of(LongCalculation $calculation, array $figures): ?Solution;
}
