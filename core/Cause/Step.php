<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** One event summed out: what is multiplied for it, and how the places of these tables follow those of what is left. */
final readonly class Step
{
    /**
     * @param list<int> $factors the first tables of it
     * @param array<int, int> $steps those whose messages come here, by position: the tables after those of the factors
     * @param list<array{list<int>, list<int>}> $maps of each table: where the event did not happen, and where it did
     * @param int $size of what is left
     */
    public function __construct(public array $factors, public array $steps, public array $maps, public int $size)
    {
    }
}
