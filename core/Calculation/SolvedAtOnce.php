<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

/** Solves when asked, once for the same figures. */
final class SolvedAtOnce implements Solutions
{
    /** @var array<string, Solution|Contradiction> by calculation and figures */
    private array $known = [];

    public function of(LongCalculation $calculation, array $figures): Solution
    {
        $key = $calculation->name().json_encode($figures, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION);
        try {
            $known = $this->known[$key] ??= $calculation->solve($figures);
        } catch (Contradiction $contradiction) {
            $known = $this->known[$key] = $contradiction;
        }

        return $known instanceof Solution ? $known : throw $known;
    }
}
