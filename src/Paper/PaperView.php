<?php

declare(strict_types=1);

namespace MuteTapper\App\Paper;

use OpenApi\Attributes as OA;

/** How far a paper is. */
#[OA\Schema]
final readonly class PaperView
{
    private function __construct(
        public string $id,
        public PaperState $state,
        #[OA\Property(description: '0 to 1')]
        public float $done,
        #[OA\Property(description: 'why it was not made')]
        public ?string $message,
    ) {
    }

    public static function of(Paper $paper): self
    {
        return new self($paper->id, $paper->state, $paper->done, $paper->message);
    }
}
