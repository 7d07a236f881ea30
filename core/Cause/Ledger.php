<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/**
 * The evidence for and against one cause, in decibans against "none listed": a starting weight, then one line a sign; the
 * lines add up to the total. Pairs are weighed apart, which is why the ranking can differ from one ledger's sum.
 */
final readonly class Ledger
{
    /** Lines lighter than this stay silent, in decibans. */
    public const SILENT = 0.5;

    /** @param array<string, float> $lines by sign, strongest for first */
    public function __construct(public string $cause, public float $start, public array $lines)
    {
    }

    public function evidence(): float
    {
        return array_sum($this->lines);
    }

    public function total(): float
    {
        return $this->start + $this->evidence();
    }
}
