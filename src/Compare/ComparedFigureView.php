<?php

declare(strict_types=1);

namespace MuteTapper\App\Compare;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\Core\Compare\ComparedFigure;
use MuteTapper\Core\Quantity\UnitSystem;
use OpenApi\Attributes as OA;

/** A figure of which two groups differ. */
#[OA\Schema]
final readonly class ComparedFigureView
{
    /** @param list<string> $outside stations of either side where it is outside its limit */
    private function __construct(
        public string $code,
        public string $what,
        public string $where,
        public SideView $one,
        public SideView $other,
        public QuantityView $difference,
        #[OA\Property(description: 'difference over what the gauges can make of it')]
        public ?float $byGauge,
        public array $outside,
        public ?PairedRuleView $rule,
    ) {
    }

    public static function of(ComparedFigure $one, UnitSystem $units): self
    {
        return new self(
            $one->code, $one->what, $one->where, SideView::of($one->one, $units, $one->fineness),
            SideView::of($one->other, $units, $one->fineness), QuantityView::uncertain($one->difference, $units, $one->fineness),
            $one->byGauge === null ? null : round($one->byGauge, 1),
            [...$one->outside, ...$one->outsideOfOther], PairedRuleView::of($one),
        );
    }
}
