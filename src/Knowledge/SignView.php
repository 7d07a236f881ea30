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
        public string $code,
        public string $name,
        public array $parts,
        public string $site,
        public string $seenBy,
        public string $lookFor,
        public string $photograph,
        public string $lookAlike,
        public array $severity,
        public array $words,
        public bool $gross,
        public array $requires,
        #[OA\Property(description: 'comes from the bench, not from looking')]
        public bool $fromBench,
        #[OA\Property(description: 'the state of the element, filled or drained, is part of the finding')]
        public bool $needsFill,
    ) {
    }
}
