<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use OpenApi\Attributes as OA;

/** Where a valve is nearest to its piston, and how near. */
#[OA\Schema]
final readonly class NearestView
{
    public function __construct(
        #[OA\Property(description: 'crank degrees after top dead centre')]
        public float $degree,
        public float $clearance,
    ) {
    }
}
