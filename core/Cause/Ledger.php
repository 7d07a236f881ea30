<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/**
 * The evidence for and against one cause where it explains most, in decibans: a starting weight, then one line a sign; the
 * lines add up to the total. Pairs are weighed apart, which is why the ranking can differ from one ledger's sum.
 */
final readonly class Ledger
{
    /** Lines lighter than this stay silent, in decibans. */
    public const SILENT = 0.5;

    /**
     * @param PlacedCause|null $against what it is held against; nothing wrong, where null
     * @param array<string, float> $lines by sign, strongest for first: that it is there, or is not
     * @param array<string, float> $spread by sign: how its mechanism's marks lie
     * @param float $carryOver what went from failure to failure
     */
    public function __construct(
        public PlacedCause $placed,
        public ?PlacedCause $against,
        public float $start,
        public array $lines,
        public array $spread,
        public float $carryOver,
    ) {
    }

    public function evidence(): float
    {
        return array_sum($this->lines) + array_sum($this->spread) + $this->carryOver;
    }

    public function total(): float
    {
        return $this->start + $this->evidence();
    }
}
