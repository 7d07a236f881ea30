<?php

declare(strict_types=1);

namespace MuteTapper\App\Assessment;

use OpenApi\Attributes as OA;

/** How far the solving of what takes long is: speeds of float among others. */
#[OA\Schema]
final readonly class SolvingView
{
    private function __construct(
        public ?SolvingState $state,
        #[OA\Property(description: 'values worked out so far')]
        public int $done,
        public int $total,
        public ?string $message,
    ) {
    }

    public static function of(?Solving $solving): self
    {
        return $solving === null ? new self(null, 0, 0, null)
            : new self($solving->state, $solving->done, $solving->total, $solving->message);
    }
}
