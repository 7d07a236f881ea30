<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use OpenApi\Attributes as OA;

/** The earliest mechanism that the leading explanation needs and nothing contradicts. */
#[OA\Schema]
final readonly class FirstEventView
{
    public function __construct(
        public string $event,
        public string $label,
        public float $probability,
        #[OA\Property(description: 'station, where the evidence has one; empty where it has none')]
        public string $station,
        #[OA\Property(description: 'in words, with its station')]
        public string $words,
    ) {
    }
}
