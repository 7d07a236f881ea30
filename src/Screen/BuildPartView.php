<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use OpenApi\Attributes as OA;

/** A part of the build as claimed. */
#[OA\Schema]
final readonly class BuildPartView
{
    public function __construct(
        public string $code,
        public string $label,
        #[OA\Property(description: 'intakes and exhausts are stated apart')]
        public bool $byKind,
    ) {
    }
}
