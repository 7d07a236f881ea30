<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use OpenApi\Attributes as OA;

/** A question of the story. */
#[OA\Schema]
final readonly class QuestionView
{
    public function __construct(
        public string $field,
        public string $ask,
    ) {
    }
}
