<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use OpenApi\Attributes as OA;

/** A sign of the catalogue. */
#[OA\Schema]
final readonly class SignView
{
    /**
     * @param list<string> $parts
     * @param list<string> $severity
     * @param list<string> $words
     * @param list<string> $requires
     */
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $name,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $parts,
        #[OA\Property]
        public string $site,
        #[OA\Property]
        public string $seenBy,
        #[OA\Property]
        public string $lookFor,
        #[OA\Property]
        public string $photograph,
        #[OA\Property]
        public string $lookAlike,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $severity,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $words,
        #[OA\Property]
        public bool $gross,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $requires,
        #[OA\Property(description: 'comes from the bench, not from looking')]
        public bool $fromBench,
        #[OA\Property(description: 'the state of the element, filled or drained, is part of the finding')]
        public bool $needsFill,
    ) {
    }
}
