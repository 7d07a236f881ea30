<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use OpenApi\Attributes as OA;

/** What would be likeliest after a result. */
#[OA\Schema]
final readonly class OutlookView
{
    public function __construct(
        #[OA\Property(description: 'the causes with their place; nothing listed, where none of them')]
        public string $words,
        public float $probability,
    ) {
    }
}
