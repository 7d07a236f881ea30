<?php

declare(strict_types=1);

namespace MuteTapper\App\Teardown;

use OpenApi\Attributes as OA;

/** A photograph to be taken before a step. */
#[OA\Schema]
final readonly class ShotView
{
    public function __construct(
        public string $place,
        public string $part,
        public string $label,
        #[OA\Property(description: 'the step that would destroy it')]
        public string $before,
    ) {
    }
}
