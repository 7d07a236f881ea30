<?php

declare(strict_types=1);

namespace MuteTapper\Core\Compare;

use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Quantity\Uncertain;

/** A figure of which two groups differ: read, or worked out and judged. */
final readonly class ComparedFigure
{
    /**
     * @param string $where of which valves, where a group has both kinds
     * @param Uncertain $difference second less the first
     * @param float|null $byGauge difference over what the gauges can make of it
     * @param list<string> $outside stations of the first group where it is outside its limit
     * @param list<string> $outsideOfOther likewise of the second
     */
    public function __construct(
        public string $code,
        public string $what,
        public string $where,
        public Side $one,
        public Side $other,
        public Uncertain $difference,
        public ?float $byGauge,
        public array $outside,
        public array $outsideOfOther,
        public Fineness $fineness,
        public ?PairedScale $scale,
    ) {
    }

    public function isOutside(): bool
    {
        return $this->outside !== [] || $this->outsideOfOther !== [];
    }
}
