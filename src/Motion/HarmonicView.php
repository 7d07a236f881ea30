<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use OpenApi\Attributes as OA;

/** A harmonic of the lift that sets the spring swinging at a speed of the crank. */
#[OA\Schema]
final readonly class HarmonicView
{
    public function __construct(
        public int $number,
        #[OA\Property(description: 'turns of the crank a minute at which it meets the spring')]
        public float $speed,
        #[OA\Property(description: 'its share of the lift, per mille')]
        public float $share,
    ) {
    }
}
