<?php

declare(strict_types=1);

namespace MuteTapper\App\Gauge;

use OpenApi\Attributes as OA;

/** One line of the gauge protocol: which gauge, the figure it shows, its unit. */
#[OA\Schema]
final readonly class GaugeLine
{
    public function __construct(
        public string $gauge,
        #[OA\Property(description: 'as the display shows it')]
        public string $value,
        public string $unit,
        public bool $simulated,
    ) {
    }
}
