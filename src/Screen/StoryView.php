<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use OpenApi\Attributes as OA;

/** The story: answers by question, and the stations reported failed. */
#[OA\Schema]
final readonly class StoryView
{
    /**
     * @param array<string, string> $answers
     * @param list<string> $failed
     */
    public function __construct(
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))]
        public array $answers,
        public array $failed,
    ) {
    }
}
