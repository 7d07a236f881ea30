<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use OpenApi\Attributes as OA;

/** An event with its probability on the evidence. */
#[OA\Schema]
final readonly class MechanismView
{
    public function __construct(
        public string $code,
        public string $label,
        public float $probability,
        public bool $established,
    ) {
    }
}
