<?php

declare(strict_types=1);

namespace MuteTapper\App\CaseFile;

use OpenApi\Attributes as OA;

/** A code with the name it has on this engine. */
#[OA\Schema]
final readonly class NamedView
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $label,
    ) {
    }
}
