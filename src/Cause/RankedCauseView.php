<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use OpenApi\Attributes as OA;

/** A cause in the ranking, where it explains most. */
#[OA\Schema]
final readonly class RankedCauseView
{
    /** @param list<string> $places stations of the region; empty where it is everywhere, or at a place nobody knows of */
    public function __construct(
        public string $code,
        public string $label,
        public string $explain,
        public string $family,
        public string $familyLabel,
        public float $probability,
        #[OA\Property(description: 'decibans over none listed')]
        public float $gain,
        #[OA\Property(description: 'where, in words')]
        public string $region,
        public array $places,
        #[OA\Property(description: 'in which way it is wrong, in words; empty where there is one way only')]
        public string $form,
        public bool $outside,
    ) {
    }
}
