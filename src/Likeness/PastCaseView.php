<?php

declare(strict_types=1);

namespace MuteTapper\App\Likeness;

use OpenApi\Attributes as OA;

/** A signed case that is like another, with its call. */
#[OA\Schema]
final readonly class PastCaseView
{
    /**
     * @param list<string> $shared names of signs that both have, those that tell most first
     * @param list<string> $causes what was called
     */
    public function __construct(
        public string $id,
        public int $number,
        public string $name,
        #[OA\Property(description: 'from 0 to 1')]
        public float $degree,
        public array $shared,
        #[OA\Property(description: 'how many of these lie alike in both')]
        public int $alike,
        public array $causes,
        public string $words,
        public ?int $confidence,
        public string $by,
        public string $at,
        #[OA\Property(description: 'what became of the complaint when that engine came back, in words')]
        public ?string $outcome,
    ) {
    }
}
