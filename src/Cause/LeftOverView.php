<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use OpenApi\Attributes as OA;

/** A sign that the leading explanation leaves as it is. */
#[OA\Schema]
final readonly class LeftOverView
{
    /** @param list<string> $places */
    public function __construct(
        public string $sign,
        public string $name,
        #[OA\Property(description: 'left at all its places, not at some')]
        public bool $whole,
        public array $places,
        #[OA\Property(description: 'name and places, in words')]
        public string $words,
    ) {
    }
}
