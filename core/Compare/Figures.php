<?php

declare(strict_types=1);

namespace MuteTapper\Core\Compare;

use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Sheet\Axis;
use MuteTapper\Core\Sheet\FigureAt;

/** Every figure of a group that can be held against that of another. */
final class Figures
{
    /** @return list<FigureAt> */
    public static function of(Sample $sample): array
    {
        return [...self::read($sample), ...self::judged($sample), ...self::ofParts($sample)];
    }

    /** @return list<FigureAt> what was read at its places */
    private static function read(Sample $sample): array
    {
        $bench = $sample->bench;
        $read = [];
        foreach ($bench->sheets->fittedTo($bench->case->engine) as $sheet) {
            foreach ($sheet->columns as $column) {
                $isOfStations = $column->site === Site::Station && !$column->index->has(Axis::Date);
                foreach ($isOfStations ? $sample->group->places : [] as $place) {
                    foreach ($bench->readingsOf($column)[$place] ?? [] as $index => $reading) {
                        $read[] = new FigureAt(
                            $place, $column->code, (string) $index, $column->label, $column->fineness, $reading->uncertain(),
                            (string) ($reading->height()->base ?? ''),
                        );
                    }
                }
            }
        }

        return $read;
    }

    /**
     * What was worked out and judged at its stations. A departure from a claim or from the others is a comparison already, and what is
     * read is compared as it was read.
     *
     * @return list<FigureAt>
     */
    private static function judged(Sample $sample): array
    {
        $bench = $sample->bench;
        $found = [];
        foreach ($bench->sheets->judged as $judged) {
            $value = $bench->sheets->value($judged->value);
            $isOwn = $value->site === Site::Station && !$judged->isDeparture && !$judged->accusesOnly && $value->column === null;
            foreach ($isOwn ? $bench->marginsOf($judged->value) : [] as $margin) {
                $worked = $margin->because === null ? $margin->value() : null;
                if ($worked !== null && $sample->group->has($margin->place)) {
                    $found[] = new FigureAt(
                        $margin->place, $judged->value, $margin->index ?? '', $value->title, $value->fineness, $worked,
                        isOutside: $margin->isOutside(), bound: $margin->limit->isOpen() ? null : $margin->limit->bounds(),
                    );
                }
            }
        }

        return $found;
    }

    /** @return list<FigureAt> what is told of its parts, on the engine or off it */
    private static function ofParts(Sample $sample): array
    {
        $bench = $sample->bench;
        $told = [];
        foreach ($bench->sheets->fittedTo($bench->case->engine) as $sheet) {
            $told = [...$told, ...$sheet->compares === null ? [] : ($sheet->compares)($bench)];
        }

        return array_values(array_filter($told, static fn (FigureAt $figure): bool => $sample->group->has($figure->place)));
    }
}
