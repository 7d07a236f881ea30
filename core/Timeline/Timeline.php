<?php

declare(strict_types=1);

namespace MuteTapper\Core\Timeline;

use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Entry\EntryKind;

/** The life of the engine in order: dated events by date, the others where they were recorded. */
final readonly class Timeline
{
    /**
     * @param array<string, Event> $events by id, oldest first
     * @param array<string, array<string, PartState>> $carried state by component, then event
     * @param array<string, array<string, PartState>> $byTags those of them that follow from tags
     * @param list<string> $contradictions in words
     */
    private function __construct(public array $events, public array $carried, public array $byTags, public array $contradictions)
    {
    }

    public static function of(CaseFile $case): self
    {
        $events = $carried = [];
        foreach ($case->log->standing(EntryKind::Event) as $entry) {
            $events[$entry->slot->index ?? ''] = Event::fromNode($entry->node());
        }
        foreach ($case->log->standing(EntryKind::Carry) as $entry) {
            $component = Carry::componentOf($entry->slot);
            if ($component !== null) {
                $carried[$component->value][$entry->slot->index ?? ''] = Carry::fromNode($entry->node())->state;
            }
        }
        // Undated events keep their place among the others: the sort is stable and compares only what has a date.
        $dated = array_filter($events, static fn (Event $event): bool => $event->date !== null);
        uasort($dated, static fn (Event $a, Event $b): int => $a->date <=> $b->date);
        $ids = array_keys($dated);
        $ordered = [];
        foreach ($events as $id => $event) {
            $id = $event->date === null ? $id : array_shift($ids) ?? $id;
            $ordered[$id] = $events[$id];
        }

        $tagged = TaggedBuilds::of($case, $ordered);
        $contradictions = [...self::contradictions($ordered), ...$tagged->contradictions($carried, $ordered, $case->engine)];
        foreach ($tagged->states as $component => $states) {
            $carried[$component] = [...($carried[$component] ?? []), ...$states];
        }

        return new self($ordered, $carried, $tagged->states, $contradictions);
    }

    /**
     * @param array<string, Event> $events
     *
     * @return list<string>
     */
    private static function contradictions(array $events): array
    {
        $found = [];
        $last = null;
        foreach ($events as $event) {
            if ($event->what === EventKind::Build) {
                $last = null; // the count begins anew
            }
            if (
                $last !== null
                && $event->amount !== null
                && $last->amount !== null
                && $event->unit === $last->unit
                && $event->amount < $last->amount
            ) {
                $found[] = sprintf(
                    'The %s at %s %s stands after the %s at %s %s: the count runs backwards.', $event->words(),
                    $event->amount, $event->unit->value, $last->what->value, $last->amount, $last->unit->value,
                );
            }
            if ($event->amount !== null) {
                $last = $event;
            }
        }

        return $found;
    }
}
