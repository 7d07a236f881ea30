<?php

declare(strict_types=1);

namespace MuteTapper\App\CaseFile;

use OpenApi\Attributes as OA;

/** A station by its stable code and what people call it. */
#[OA\Schema]
final readonly class StationView
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $label,
        #[OA\Property(enum: ['I', 'E'])]
        public string $kind,
        #[OA\Property]
        public string $cylinder,
        #[OA\Property]
        public bool $failed,
    ) {
    }
}
