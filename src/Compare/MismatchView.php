<?php

declare(strict_types=1);

namespace MuteTapper\App\Compare;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\Core\Compare\Difference;
use MuteTapper\Core\Compare\Mismatch;
use MuteTapper\Core\Sheet\Bench;
use OpenApi\Attributes as OA;

/** Two groups of like parts, or found and claimed, that are not alike. */
#[OA\Schema]
final readonly class MismatchView
{
    /**
     * @param float|null $byGauge difference over what the gauges can make of it
     * @param list<string> $places
     * @param list<string> $labels of the places
     */
    private function __construct(
        public Difference $kind,
        public string $what,
        public string $where,
        public SideView $one,
        public SideView $other,
        public ?QuantityView $difference,
        public ?float $byGauge,
        public array $places,
        public array $labels,
    ) {
    }

    public static function of(Mismatch $one, Bench $bench): self
    {
        $units = $bench->case->settings->units;
        $fineness = $one->fineness;

        return new self(
            $one->kind, $one->what, $one->where, SideView::of($one->one, $units, $fineness), SideView::of($one->other, $units, $fineness),
            $one->difference === null ? null : QuantityView::uncertain($one->difference, $units, $fineness),
            $one->byGauge === null ? null : round($one->byGauge, 1), $one->places,
            array_map(static fn (string $place): string => $bench->case->engine->placeLabel($place) ?? $place, $one->places),
        );
    }
}
