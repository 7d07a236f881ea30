<?php

declare(strict_types=1);

namespace MuteTapper\App\Gauge;

use OpenApi\Attributes as OA;

/** What a gauge shows: which gauge, the figure, its unit. */
#[OA\Schema]
final readonly class GaugeReadingView
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
