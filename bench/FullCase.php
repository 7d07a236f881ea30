<?php

declare(strict_types=1);

namespace MuteTapper\Bench;

use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\CaseFile\Settings;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\EntryLog;
use MuteTapper\Core\Knowledge\Knowledge;

/** A made-up case as large as one gets: 32 stations, every part looked at, inner and outer springs measured. */
final class FullCase
{
    private static ?Knowledge $knowledge = null;
    private static int $count = 0;

    public static function knowledge(): Knowledge
    {
        $files = [];
        foreach (Knowledge::FILES as $name) {
            $files[$name] = json_decode((string) file_get_contents(\dirname(__DIR__)."/core/Knowledge/$name.json"), true, 64, \JSON_THROW_ON_ERROR);
        }

        return self::$knowledge ??= Knowledge::fromArray($files);
    }

    /** @param int $unrelated how many times 300 photographs lie beside it */
    public static function of(int $unrelated): CaseFile
    {
        $engine = Engine::fromNode(Node::root(['layout' => 'vee', 'drive' => 'finger', 'cylinders' => 8, 'rocker_ratio' => 1.5]));
        $entries = [];
        foreach ($engine->stations as $i => $station) {
            foreach ($engine->parts() as $part) {
                if (Site::Station === $part->site()) {
                    $entries[] = self::entry('look', $station->code(), $part->value, 'look', null, []);
                }
            }
            foreach (['seat' => 'seat_hammered', 'valve' => 'tip_peened', 'spring' => 'coil_clash'] as $part => $sign) {
                $entries[] = self::entry('finding', $station->code(), $part, $sign, null, ['severity' => $i % 4]);
            }
            foreach (SheetColumn::cases() as $column) {
                foreach ($column->isByCoil() ? ['outer', 'inner'] : [null] as $coil) {
                    $range = $column->range();
                    $value = ['number' => $range->least->base + (0.3 + 0.01 * ($i % 7)) * ($range->most->base - $range->least->base), 'unit' => $range->dimension()->baseUnit()->value, 'decimals' => 5];
                    $at = $column->isAtHeight() ? ['at' => ['number' => 'load_seat' === $column ? 0.045 : 0.033, 'unit' => 'm', 'decimals' => 4]] : [];
                    $entries[] = self::entry('reading', $station->code(), $column->part()->value, $column->value, $coil, ['value' => $value, 'gauge' => self::knowledge()->gauges[$column->gauge()]->toArray()] + $at);
                }
            }
        }
        foreach ($engine->cylinders as $cylinder) {
            foreach ([Part::Chamber, Part::Piston] as $part) {
                $entries[] = self::entry('look', $cylinder->code(), $part->value, 'look', null, []);
            }
        }
        foreach (self::knowledge()->signs as $sign) {
            if (null === $sign->bench && Site::Engine === $sign->site) {
                $entries[] = self::entry('finding', 'engine', $sign->parts[0]->value, $sign->code, null, ['severity' => \count($entries) % 3]);
            }
        }
        for ($i = 0; $i < 300 * $unrelated; ++$i) {
            $entries[] = self::entry('photograph', 'A1-E1', 'spring', 'photograph', 'p'.$i, ['sha256' => hash('sha256', (string) $i)]);
        }

        return new CaseFile($engine, new Settings(), EntryLog::of($entries));
    }

    public static function typical(): CaseFile
    {
        $full = self::of(0);
        $few = array_values(array_filter($full->log->entries, static fn (Entry $entry): bool => \in_array($entry->slot->place, ['A1-E1', 'A2-E1', 'B1-I1'], true) && \in_array($entry->slot->part, ['spring', 'valve', 'seat', 'retainer', 'spring_seat'], true)));

        return new CaseFile($full->engine, $full->settings, EntryLog::of($few));
    }

    public static function count(CaseFile $case, string $kind): int
    {
        return \count($case->log->standing(EntryKind::from($kind)));
    }

    /** @param array<string, mixed> $data */
    private static function entry(string $kind, string $place, string $part, string $item, ?string $index, array $data): Entry
    {
        return Entry::fromNode(Node::root([
            'id' => \sprintf('01900000-0000-7000-8000-%012d', ++self::$count), 'kind' => $kind, 'by' => 'bench', 'at' => '2026-11-25T10:00:00Z', 'data' => $data,
            'slot' => ['place' => $place, 'part' => $part, 'item' => $item, 'index' => $index],
        ]));
    }
}
