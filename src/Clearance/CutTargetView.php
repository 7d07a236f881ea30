<?php

declare(strict_types=1);

namespace MuteTapper\App\Clearance;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\App\Sheet\MarginView;
use OpenApi\Attributes as OA;

/** What is to be cut off the guide of a valve, and what stands then. */
#[OA\Schema]
final readonly class CutTargetView
{
    /**
     * @param QuantityView|null $cut at least; null where there is room enough
     * @param list<MarginView> $before
     * @param list<MarginView> $after
     * @param string|null $noLonger what can no longer be fitted then
     */
    public function __construct(
        public string $place,
        public string $label,
        public QuantityView $top,
        public ?QuantityView $cut,
        public QuantityView $topAfter,
        public array $before,
        public array $after,
        public ?string $noLonger,
    ) {
    }
}
