<?php

declare(strict_types=1);

namespace MuteTapper\Core\Reassembly;

use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\EntryLog;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Sheet\Bench;

/**
 * The engine when it came back: what was read that day, and beside it the rebuild and earlier returns as sheets of their dates. What was
 * found when it first came is no part of it.
 */
final readonly class AsReturned
{
    private function __construct(public Bench $bench, public ?string $rebuilt)
    {
    }

    public static function on(string $day, Bench $found, Knowledge $knowledge): self
    {
        $log = $found->case->log;
        $entries = array_map(static fn (Entry $entry): Entry => self::moved($entry, null), $log->builtFor($day));
        foreach ($log->standing(EntryKind::Outcome) as $outcome) {
            $other = $outcome->slot->index ?? '';
            if ($other < $day) {
                array_push($entries, ...array_map(static fn (Entry $entry): Entry => self::moved($entry, $other), $log->builtFor($other)));
            }
        }
        $rebuilt = null;
        foreach ($log->builtFor(AsBuilt::REBUILD) as $entry) {
            // Of one rebuild all readings are of one sheet, however many days it took.
            $rebuilt ??= $entry->at->format('Y-m-d');
            $entries[] = self::moved($entry, $rebuilt);
        }
        $case = new CaseFile($found->case->engine, $found->case->settings, EntryLog::ofHeads($entries), $found->case->failed);

        return new self(Bench::of($case, $found->sheets, $knowledge), $rebuilt);
    }

    private static function moved(Entry $entry, ?string $day): Entry
    {
        $found = $entry->slot->asFound();
        $index = implode('.', array_filter([$day, $found->index], static fn (?string $part): bool => $part !== null));

        return new Entry(
            $entry->id, $entry->kind, new Slot($found->place, $found->part, $found->item, $index === '' ? null : $index), null, null,
            $entry->by, $entry->at, $entry->knowledge, $entry->data,
        );
    }
}
