<?php

declare(strict_types=1);

namespace MuteTapper\App\Teardown;

use OpenApi\Attributes as OA;

/** A photograph to be taken before a step. */
#[OA\Schema]
final readonly class ShotView
{
    public function __construct(
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public string $part,
        #[OA\Property]
        public string $label,
        #[OA\Property(description: 'the step that would destroy it')]
        public string $before,
    ) {
    }
}
