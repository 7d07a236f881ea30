<?php

declare(strict_types=1);

namespace MuteTapper\Core\Compare;

use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Sheet\Bench;

/** What is held against something else: places of a case, on its bench. Two samples can be of two cases. */
final readonly class Sample
{
    public function __construct(public Bench $bench, public Group $group)
    {
    }

    /** Of valve; null off the engine. */
    public function kindAt(string $place): ?ValveKind
    {
        return $this->bench->case->engine->station($place)?->kind;
    }
}
