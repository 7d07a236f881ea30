<?php

declare(strict_types=1);

namespace MuteTapper\App\Gauge;

use OpenApi\Attributes as OA;

/** One line of the gauge protocol: which gauge, the figure it shows, its unit. */
#[OA\Schema]
final readonly class GaugeLine
{
    public function __construct(
        #[OA\Property]
        public string $gauge,
        #[OA\Property(description: 'as the display shows it')]
        public string $value,
        #[OA\Property]
        public string $unit,
        #[OA\Property]
        public bool $simulated,
    ) {
    }
}
