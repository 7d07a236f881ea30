<?php

declare(strict_types=1);

namespace MuteTapper\App\CaseFile;

use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\Entry;
use Symfony\Component\Uid\Uuid;

/** A case document that was read and checked: all that takes long is done, what is left is to store it. */
final readonly class CheckedDocument
{
    /** @param list<Entry> $entries */
    public function __construct(public Node $document, public array $entries, public string $name)
    {
    }

    /**
     * A copy gets entries of its own: an entry belongs to one case.
     *
     * @return list<Entry>
     */
    public function copiedEntries(): array
    {
        $newIds = [];
        foreach ($this->entries as $entry) {
            $newIds[$entry->id] = Uuid::v7()->toRfc4122();
        }

        return array_map(static fn (Entry $entry): Entry => new Entry(
            $newIds[$entry->id], $entry->kind, $entry->slot, $entry->supersedes === null ? null : $newIds[$entry->supersedes],
            $entry->reason, $entry->by, $entry->at, $entry->knowledge, $entry->data,
        ), $this->entries);
    }
}
