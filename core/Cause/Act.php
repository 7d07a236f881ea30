<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** What an explanation does: to each factor of the graph, and to what no event has a part in. */
final readonly class Act
{
    /**
     * @param array<int, int> $effects by factor, ascending
     * @param float $constant what it weighs that absent signs are not there which it would leave itself
     */
    public function __construct(public array $effects, public float $constant)
    {
    }
}
