<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use OpenApi\Attributes as OA;

/** A school of limits. */
#[OA\Schema]
final readonly class SchoolView
{
    public function __construct(
        public string $code,
        public string $label,
        public string $meaning,
    ) {
    }
}
