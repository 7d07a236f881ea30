<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use OpenApi\Attributes as OA;

/** A gauge and what it is worth. */
#[OA\Schema]
final readonly class GaugeView
{
    public function __construct(
        public string $code,
        public string $label,
        public string $dimension,
        public string $stated,
    ) {
    }
}
