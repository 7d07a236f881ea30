<?php

declare(strict_types=1);

namespace MuteTapper\Core\CaseFile;

/** A cause that the analyst says it was not, and why. */
final readonly class RuledOut
{
    public function __construct(public string $cause, public string $why)
    {
    }

    /** @return array<string, string> */
    public function toArray(): array
    {
        return ['cause' => $this->cause, 'why' => $this->why];
    }
}
