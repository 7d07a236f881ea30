<?php

declare(strict_types=1);

namespace MuteTapper\App\Compare;

use MuteTapper\Core\Compare\ComparedFigure;
use OpenApi\Attributes as OA;

/** Two sides on one rule, as fractions of its length. */
#[OA\Schema]
final readonly class PairedRuleView
{
    /**
     * @param list<float> $one least, middle, most
     * @param list<float> $other
     * @param list<float> $ends where good values end
     */
    private function __construct(
        public array $one,
        public array $other,
        public array $ends,
        public bool $isOneOutside,
        public bool $isOtherOutside,
    ) {
    }

    public static function of(ComparedFigure $figure): ?self
    {
        return $figure->scale === null ? null : new self(
            $figure->scale->one, $figure->scale->other, $figure->scale->ends, $figure->outside !== [], $figure->outsideOfOther !== [],
        );
    }
}
