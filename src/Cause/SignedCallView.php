<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use OpenApi\Attributes as OA;

/** A signed call, with what the ranking said when it was signed. */
#[OA\Schema]
final readonly class SignedCallView
{
    public function __construct(
        #[OA\Property]
        public CallView $call,
        #[OA\Property]
        public string $by,
        #[OA\Property]
        public string $at,
        #[OA\Property(description: 'what the ranking said then')]
        public string $rankingSentence,
        #[OA\Property]
        public int $revision,
    ) {
    }
}
