<?php

declare(strict_types=1);

namespace MuteTapper\App\Simulated;

use OpenApi\Attributes as OA;

/** A picture that the simulated camera can take. */
#[OA\Schema]
final readonly class SimulatedPictureView
{
    public function __construct(
        public string $code,
        public string $label,
        public string $part,
        public string $sign,
    ) {
    }
}
