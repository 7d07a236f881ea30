<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use OpenApi\Attributes as OA;

/** A station by its stable code and what people call it. */
#[OA\Schema]
final readonly class StationView
{
    public function __construct(
        public string $code,
        public string $label,
        #[OA\Property(enum: ['I', 'E'])]
        public string $kind,
        public string $cylinder,
        public bool $failed,
    ) {
    }
}
