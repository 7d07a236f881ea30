<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use OpenApi\Attributes as OA;

/** A gauge and what it is worth: any of a kind, or one that the shop owns. */
#[OA\Schema]
final readonly class GaugeView
{
    /** @param string|null $kind of one that the shop owns */
    public function __construct(
        public string $code,
        public string $label,
        public string $dimension,
        public string $unit,
        public string $stated,
        public bool $isOnCable,
        public ?string $kind,
        public bool $isOverdue,
    ) {
    }
}
