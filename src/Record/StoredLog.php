<?php

declare(strict_types=1);

namespace MuteTapper\App\Record;

use MuteTapper\Core\Entry\Entry;

/** Entries of a case that can be read, and those that cannot. */
final readonly class StoredLog
{
    /**
     * @param list<Entry> $entries
     * @param list<UnreadEntry> $unread
     */
    public function __construct(public array $entries, public array $unread)
    {
    }
}
