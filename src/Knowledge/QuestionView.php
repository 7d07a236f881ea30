<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use OpenApi\Attributes as OA;

/** A question of the story. */
#[OA\Schema]
final readonly class QuestionView
{
    public function __construct(
        #[OA\Property]
        public string $field,
        #[OA\Property]
        public string $ask,
    ) {
    }
}
