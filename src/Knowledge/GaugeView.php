<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use OpenApi\Attributes as OA;

/** A gauge and what it is worth. */
#[OA\Schema]
final readonly class GaugeView
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $dimension,
        #[OA\Property]
        public string $stated,
    ) {
    }
}
