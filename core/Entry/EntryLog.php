<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

use MuteTapper\Core\Document\BadDocument;

/**
 * All entries of a case in the order in which they were recorded. Invariant: ids are unique, and each entry supersedes
 * exactly the head that its slot had when it was recorded.
 */
final class EntryLog
{
    /** @var array<string, list<Entry>>|null standing entries by kind, of the engine as it came */
    private ?array $standing = null;
    /** @var array<string, list<Entry>> what was measured for a rebuild or at a return, by its event */
    private array $built = [];

    /**
     * @param list<Entry> $entries
     * @param array<string, Entry> $heads the newest entry of each slot, withdrawals included
     */
    private function __construct(public readonly array $entries, private readonly array $heads)
    {
    }

    /**
     * @param list<Entry> $entries
     *
     * @throws BadDocument naming the entry that breaks the chain of its slot
     */
    public static function of(array $entries): self
    {
        $heads = $ids = [];
        foreach ($entries as $i => $entry) {
            $key = $entry->slot->key();
            if (isset($ids[$entry->id])) {
                throw BadDocument::at('/entries/'.$i.'/id', sprintf('the entry %s occurs twice.', $entry->id));
            }
            if ($entry->supersedes !== ($heads[$key]->id ?? null)) {
                throw BadDocument::at(
                    '/entries/'.$i.'/supersedes',
                    sprintf(
                        'the slot %s is headed by %s at this point; the entry says %s.', $key, $heads[$key]->id ?? 'nothing',
                        $entry->supersedes ?? 'nothing',
                    ),
                );
            }
            $ids[$entry->id] = true;
            $heads[$key] = $entry;
        }

        return new self($entries, $heads);
    }

    /**
     * A log of which only the heads are at hand, as the database keeps them: enough to judge a case.
     *
     * @param list<Entry> $heads
     */
    public static function ofHeads(array $heads): self
    {
        $byKey = [];
        foreach ($heads as $entry) {
            $byKey[$entry->slot->key()] = $entry;
        }

        return new self($heads, $byKey);
    }

    /** @param list<Entry> $more heads that nobody recorded: what lies beside the engine while something is tried */
    public function beside(array $more): self
    {
        return self::ofHeads([...array_values($this->heads), ...$more]);
    }

    public function headOf(Slot $slot): ?Entry
    {
        $head = $this->heads[$slot->key()] ?? null;

        return $head?->kind === EntryKind::Withdrawal ? null : $head;
    }

    /**
     * The entries of a kind that stand, in the order of their slots' first use. What was measured for a rebuild is none of them.
     *
     * @return list<Entry>
     */
    public function standing(EntryKind $kind): array
    {
        return $this->sorted()[$kind->value] ?? [];
    }

    /** @return list<Entry> what stands of a rebuild or of a return */
    public function builtFor(string $event): array
    {
        $this->sorted();

        return $this->built[$event] ?? [];
    }

    /** @return array<string, list<Entry>> */
    private function sorted(): array
    {
        if ($this->standing === null) {
            $this->standing = [];
            foreach ($this->heads as $entry) {
                $event = $entry->slot->builtFor();
                if ($event === null) {
                    $this->standing[$entry->kind->value][] = $entry;
                } elseif ($entry->kind === EntryKind::Reading) {
                    $this->built[$event][] = $entry;
                }
            }
        }

        return $this->standing;
    }
}
