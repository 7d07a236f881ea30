<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use OpenApi\Attributes as OA;

/** A cause in the ranking. */
#[OA\Schema]
final readonly class RankedCauseView
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $explain,
        #[OA\Property]
        public string $family,
        #[OA\Property]
        public string $familyLabel,
        #[OA\Property]
        public float $probability,
        #[OA\Property(description: 'decibans over none listed')]
        public float $gain,
        #[OA\Property]
        public string $region,
        #[OA\Property]
        public bool $outside,
    ) {
    }
}
