<?php

declare(strict_types=1);

namespace MuteTapper\App\Simulated;

use OpenApi\Attributes as OA;

/** A picture that the simulated camera can take. */
#[OA\Schema]
final readonly class SimulatedPictureView
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $part,
        #[OA\Property]
        public string $sign,
    ) {
    }
}
