<?php

declare(strict_types=1);

namespace MuteTapper\App\Compare;

use MuteTapper\Core\Compare\ComparedFigure;
use MuteTapper\Core\Compare\ComparedSign;
use MuteTapper\Core\Compare\Comparison;
use MuteTapper\Core\Compare\Mismatch;
use OpenApi\Attributes as OA;

/** Two groups beside each other: differences only. */
#[OA\Schema]
final readonly class ComparisonView
{
    /**
     * @param list<ComparedFigureView> $figures outside ones first, then the largest by their gauges
     * @param list<ComparedSignView> $signs
     * @param list<MismatchView> $words parts that differ in words
     */
    private function __construct(
        public GroupView $one,
        public GroupView $other,
        public array $figures,
        public array $signs,
        public array $words,
        #[OA\Property(description: 'figures that do not differ')]
        public int $alike,
        #[OA\Property(description: 'figures of which a side has too few to tell')]
        public int $few,
    ) {
    }

    /** In the units of the first side's case. */
    public static function of(Comparison $comparison): self
    {
        $bench = $comparison->one->bench;
        $units = $bench->case->settings->units;

        return new self(
            GroupView::of($comparison->one->group), GroupView::of($comparison->other->group),
            array_map(static fn (ComparedFigure $one): ComparedFigureView => ComparedFigureView::of($one, $units), $comparison->figures),
            array_map(static fn (ComparedSign $one): ComparedSignView => ComparedSignView::of($one), $comparison->signs),
            array_map(static fn (Mismatch $one): MismatchView => MismatchView::of($one, $bench), $comparison->words),
            $comparison->alike, $comparison->few,
        );
    }
}
