<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use OpenApi\Attributes as OA;

/** A code with the name it has on this engine. */
#[OA\Schema]
final readonly class NamedView
{
    public function __construct(
        public string $code,
        public string $label,
    ) {
    }
}
