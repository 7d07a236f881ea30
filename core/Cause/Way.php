<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** What an explanation does to the factors, followed through all steps of an elimination. */
final readonly class Way
{
    /**
     * @param array<int, int> $effects by factor
     * @param array<int, int> $tokens of these
     * @param float $constant what the factors without events come to
     * @param array<int, int> $numbers of what reaches the steps that it comes by, ascending
     * @param int|null $met the first step that all of it comes by; null where there is none
     */
    public function __construct(
        public int $key, public array $effects, public array $tokens, public float $constant,
        public array $numbers, public ?int $met,
    ) {
    }
}
