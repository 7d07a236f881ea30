<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use OpenApi\Attributes as OA;

/** An event with its probability on the evidence. */
#[OA\Schema]
final readonly class MechanismView
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public float $probability,
        #[OA\Property]
        public bool $established,
    ) {
    }
}
