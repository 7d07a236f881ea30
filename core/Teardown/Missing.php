<?php

declare(strict_types=1);

namespace MuteTapper\Core\Teardown;

use MuteTapper\Core\Knowledge\Requirement;

/** Something that must be recorded before a step, and where it is still missing. Invariant: nothing missing means recorded. */
final readonly class Missing
{
    /** @param list<string> $places without it */
    public function __construct(public Requirement $requirement, public array $places, public int $wanted)
    {
    }

    public function isRecorded(): bool
    {
        return $this->places === [];
    }
}
