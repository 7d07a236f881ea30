<?php

declare(strict_types=1);

namespace MuteTapper\Core\Compare;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Sheet\Axis;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Spring\SweptSpring;
use MuteTapper\Core\Spring\SweptSprings;

/** Every figure of a group that can be held against that of another. */
final class Figures
{
    /** @return list<FigureAt> */
    public static function of(Sample $sample): array
    {
        return [...self::read($sample), ...self::judged($sample), ...self::ofParts($sample), ...self::swept($sample)];
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

    /** @return list<FigureAt> what follows from the readings of a part alone, on the engine or off it: the rate of a spring */
    private static function ofParts(Sample $sample): array
    {
        $bench = $sample->bench;
        $found = [];
        foreach ($bench->sheets->fittedTo($bench->case->engine) as $sheet) {
            foreach ($sheet->isLoose ? array_map($bench->sheets->value(...), $sheet->shows) : [] as $value) {
                foreach ($sample->group->places as $place) {
                    foreach ($bench->partsAt($place, $value) as $parts) {
                        $index = $value->index->join($parts);
                        $worked = $bench->value($place, $value->name, $index);
                        if ($worked instanceof Given && $worked->basis->isMeasured()) {
                            $found[] = new FigureAt($place, $value->name, $index ?? '', $value->title, $value->fineness, $worked->value);
                        }
                    }
                }
            }
        }

        return $found;
    }

    /** @return list<FigureAt> of springs that were swept, at the two heights at which those of one bench are compared */
    private static function swept(Sample $sample): array
    {
        $bench = $sample->bench;
        $found = [];
        foreach (Coil::SINGLE as $coil) {
            $swept = SweptSprings::on($bench, $coil->value, null);
            if ($swept === null) {
                continue;
            }
            foreach ($swept->springs as $spring) {
                $found = [...$found, ...$sample->group->has($spring->place) ? self::told($sample, $swept, $spring, $coil) : []];
            }
        }

        return $found;
    }

    /** @return list<FigureAt> */
    private static function told(Sample $sample, SweptSprings $swept, SweptSpring $spring, Coil $coil): array
    {
        $units = $sample->bench->case->settings->units;
        $value = static fn (string $name): Value => $sample->bench->sheets->value($name);
        [$installed, $open] = [$units->show($swept->installed->quantity()), $units->show($swept->open->quantity())];
        $found = [];
        foreach ([
            ['load_seat', sprintf('load at %s, swept', $installed), $spring->seatLoad],
            ['load_open', sprintf('load at %s, swept', $open), $spring->openLoad],
            ['rate', sprintf('rate from %s to %s, swept', $installed, $open), $spring->rate],
            ['bind_height', 'height at which it goes solid, swept', $spring->bindHeight],
        ] as [$like, $title, $told]) {
            if ($told !== null) {
                $found[] = new FigureAt($spring->place, $like.'_swept', $coil->value, $title, $value($like)->fineness, $told, $title);
            }
        }

        return $found;
    }
}
