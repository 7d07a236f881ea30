<?php

declare(strict_types=1);

namespace MuteTapper\Bench;

use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\CaseFile\Settings;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\EntryLog;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Sheet\Axis;
use MuteTapper\Core\Sheet\Column;

/** A made-up case as large as one gets: 32 stations, every part looked at, every sheet filled, and a health record of dates. */
final class FullCase
{
    private static ?Knowledge $knowledge = null;
    private static int $count = 0;

    public static function knowledge(): Knowledge
    {
        return self::$knowledge ??= Knowledge::fromArray(array_combine(Knowledge::FILES, array_map(
            static fn (string $name): mixed => json_decode(
                (string) file_get_contents(dirname(__DIR__)."/core/Knowledge/$name.json"), true, 64, \JSON_THROW_ON_ERROR,
            ), Knowledge::FILES,
        )));
    }

    /**
     * @param int $unrelated how many times 300 photographs lie beside it
     * @param int $dates earlier sheets of lash and pulls
     */
    public static function of(int $unrelated, int $dates = 5): CaseFile
    {
        $engine = Engine::fromNode(Node::root(['layout' => 'vee', 'drive' => 'finger', 'cylinders' => 8, 'rocker_ratio' => 1.5]));
        $entries = [...self::looks($engine), ...self::findings($engine), ...self::readings($engine), ...self::health($engine, $dates)];
        for ($i = 0; $i < 300 * $unrelated; ++$i) {
            $entries[] = self::entry('photograph', 'A1-E1', 'spring', 'photograph', 'p'.$i, ['sha256' => hash('sha256', (string) $i)]);
        }

        return new CaseFile($engine, new Settings(), EntryLog::of($entries));
    }

    /** What a case from the trade has when it is called: three stations looked at and measured, some symptoms. */
    public static function typical(): CaseFile
    {
        $full = self::of(0, 0);
        $few = array_values(
            array_filter(
                $full->log->entries,
                static fn (Entry $entry): bool => in_array($entry->slot->place, ['A1-E1', 'A2-E1', 'B1-I1'], true) && in_array(
                    $entry->slot->part, ['spring', 'valve', 'seat', 'retainer', 'spring_seat'], true,
                ),
            ),
        );

        return new CaseFile($full->engine, $full->settings, EntryLog::of($few));
    }

    public static function count(CaseFile $case, EntryKind $kind): int
    {
        return count($case->log->standing($kind));
    }

    /** @return list<Entry> */
    private static function looks(Engine $engine): array
    {
        $entries = [];
        foreach ($engine->parts() as $part) {
            foreach (in_array($part->site(), [Site::Station, Site::Cylinder], true) ? $engine->sites($part->site()) : [] as $place) {
                $entries[] = self::entry('look', $place, $part->value, 'look', null, []);
            }
        }

        return $entries;
    }

    /** @return list<Entry> */
    private static function findings(Engine $engine): array
    {
        $entries = [];
        $seen = [
            'seat' => ['seat_hammered'], 'valve' => ['tip_peened', 'face_hammered', 'stem_scuffed', 'groove_rolled'],
            'spring' => ['coil_clash', 'spring_rubbed', 'spring_rust'], 'lobe' => ['lobe_worn'],
        ];
        foreach ($engine->stations as $i => $station) {
            foreach ($seen as $part => $signs) {
                foreach ($signs as $s => $sign) {
                    $entries[] = self::entry('finding', $station->code(), $part, $sign, null, ['severity' => ($i + $s) % 4]);
                }
            }
        }
        foreach (self::knowledge()->signs as $sign) {
            if (!$sign->isFromBench() && $sign->site === Site::Engine) {
                $entries[] = self::entry(
                    'finding', 'engine', $sign->parts[0]->value, $sign->code, null, ['severity' => count($entries) % 3],
                );
            }
        }

        return $entries;
    }

    /** @return list<Entry> every column of every sheet, under every index that is usual */
    private static function readings(Engine $engine): array
    {
        $entries = [];
        foreach (AllSheets::get()->columns as $column) {
            if (!$column->isReadable || !$column->isFittedTo($engine)) {
                continue;
            }
            foreach ($engine->sites($column->site) as $i => $place) {
                foreach ($column->index->all($engine) as $parts) {
                    if (in_array($parts[Axis::Coil->value] ?? '', [Coil::Damper->value, Coil::Pair->value], true)) {
                        continue;
                    }
                    $entries[] = self::reading($column, $place, $column->index->join($parts), 1 + 0.002 * ($i % 7));
                }
            }
        }

        return $entries;
    }

    /** @return list<Entry> */
    private static function health(Engine $engine, int $dates): array
    {
        $entries = [];
        for ($d = 1; $d <= $dates; ++$d) {
            $date = sprintf('20%02d-%02d-01', 10 + intdiv($d, 12), 1 + $d % 12);
            foreach ($engine->stations as $i => $station) {
                foreach (['1', '2'] as $number) {
                    $entries[] = self::reading(
                        AllSheets::get()->columns['pull'], $station->code(), $date.'.'.$number, 1 + 0.003 * (($i + $d) % 5),
                    );
                }
                $entries[] = self::reading(AllSheets::get()->columns['lash'], $station->code(), $date, 1 + 0.01 * ($i % 3));
            }
        }

        return $entries;
    }

    private static function reading(Column $column, string $place, ?string $index, float $share): Entry
    {
        $unit = $column->dimension()->baseUnit();
        $value = ['number' => $column->range->example()->base * $share, 'unit' => $unit->value, 'decimals' => 5];
        $at = $column->isAtHeight
            ? ['at' => ['number' => $column->code === 'load_seat' ? 0.048 : 0.034, 'unit' => 'm', 'decimals' => 4]]
            : [];

        return self::entry(
            'reading', $place, $column->part->value, $column->code, $index,
            ['value' => $value, 'gauge' => self::knowledge()->gauges[$column->gauge]->toArray()] + $at,
        );
    }

    /** @param array<string, mixed> $data */
    private static function entry(string $kind, string $place, string $part, string $item, ?string $index, array $data): Entry
    {
        return Entry::fromNode(Node::root([
            'id' => sprintf('01900000-0000-7000-8000-%012d', ++self::$count), 'kind' => $kind, 'by' => 'bench',
            'at' => '2026-11-25T10:00:00Z', 'data' => $data,
            'slot' => ['place' => $place, 'part' => $part, 'item' => $item, 'index' => $index],
        ]));
    }
}
