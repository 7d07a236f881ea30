<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use OpenApi\Attributes as OA;

/** A cause in the ranking. */
#[OA\Schema]
final readonly class RankedCauseView
{
    public function __construct(
        public string $code,
        public string $label,
        public string $explain,
        public string $family,
        public string $familyLabel,
        public float $probability,
        #[OA\Property(description: 'decibans over none listed')]
        public float $gain,
        public string $region,
        public bool $outside,
    ) {
    }
}
