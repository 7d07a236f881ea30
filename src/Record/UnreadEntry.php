<?php

declare(strict_types=1);

namespace MuteTapper\App\Record;

/** An entry that is stored and cannot be read: as it lies there, and why. */
final readonly class UnreadEntry
{
    /** @param array<string, mixed> $raw in the shape of an entry of a case document */
    public function __construct(public array $raw, public string $reason)
    {
    }
}
