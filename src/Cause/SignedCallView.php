<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use OpenApi\Attributes as OA;

/** A signed call, with what the ranking said when it was signed. */
#[OA\Schema]
final readonly class SignedCallView
{
    public function __construct(
        public CallView $call,
        public string $by,
        public string $at,
        #[OA\Property(description: 'what the ranking said then')]
        public string $rankingSentence,
        public int $revision,
        #[OA\Property(description: 'whether the call stands as it was signed')]
        public bool $stands,
        #[OA\Property(description: 'whether it names something that the ranking did not')]
        public bool $departs,
        #[OA\Property(description: 'how sure, in words')]
        public string $sure,
    ) {
    }
}
