<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use OpenApi\Attributes as OA;

/** A cause that the build rules out, with the reason. */
#[OA\Schema]
final readonly class ExclusionView
{
    public function __construct(
        public string $code,
        public string $label,
        public string $because,
    ) {
    }
}
