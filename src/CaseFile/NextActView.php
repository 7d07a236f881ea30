<?php

declare(strict_types=1);

namespace MuteTapper\App\CaseFile;

use OpenApi\Attributes as OA;

/** The one thing to do next. */
#[OA\Schema]
final readonly class NextActView
{
    public function __construct(
        #[OA\Property]
        public string $step,
        #[OA\Property]
        public string $words,
        #[OA\Property]
        public ?string $place,
    ) {
    }
}
