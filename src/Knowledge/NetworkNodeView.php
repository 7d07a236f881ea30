<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use OpenApi\Attributes as OA;

/** A cause, a mechanism or a sign, as the library lists it. */
#[OA\Schema]
final readonly class NetworkNodeView
{
    /** @param list<string> $words other words under which it is looked for */
    public function __construct(
        public string $code,
        #[OA\Property(enum: ['cause', 'mechanism', 'sign'])]
        public string $is,
        public string $name,
        #[OA\Property(description: 'what it is, or what to look for')]
        public string $about,
        #[OA\Property(description: 'family of a cause, part of a sign')]
        public string $group,
        public array $words,
    ) {
    }
}
