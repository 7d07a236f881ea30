<?php

declare(strict_types=1);

namespace MuteTapper\Core\Compare;

use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Entry\Answer;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Severity;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Knowledge\SeenBy;
use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Sheet\Axis;
use MuteTapper\Core\Verdict\Bound;

/**
 * Two groups of stations beside each other: what was read, worked out, seen and said of them, as far as it differs by more than
 * scatter and gauges make. Intakes are held against intakes, loads at equal heights.
 */
final readonly class Comparison
{
    /**
     * @param list<ComparedFigure> $figures outside ones first, then the largest by their gauges
     * @param list<ComparedSign> $signs largest difference of severity first
     * @param list<Mismatch> $words parts that differ in words
     * @param int $alike figures that do not differ
     * @param int $few figures of which there are too few on a side to tell
     */
    private function __construct(
        public Sample $one,
        public Sample $other,
        public array $figures,
        public array $signs,
        public array $words,
        public int $alike,
        public int $few,
    ) {
    }

    public static function of(Knowledge $knowledge, Sample $one, Sample $other): self
    {
        $figures = [];
        $alike = $few = 0;
        foreach (self::sets($one, $other) as $set) {
            if ($set->one !== [] && $set->other !== []) {
                $tells = Telling::between($set->one, $set->other);
                $alike += $tells === false ? 1 : 0;
                $few += $tells === null ? 1 : 0;
                if ($tells === true) {
                    $figures[] = $set->compared($one->group, $set->one, $other->group, $set->other);
                }
            }
        }
        usort($figures, static fn (ComparedFigure $a, ComparedFigure $b): int => [$b->isOutside(), $b->byGauge ?? \INF]
            <=> [$a->isOutside(), $a->byGauge ?? \INF]);

        return new self(
            $one, $other, $figures, self::signs($knowledge, $one, $other), self::words($knowledge, $one, $other), $alike, $few,
        );
    }

    /** @return array<string, FigureSet> */
    private static function sets(Sample $one, Sample $other): array
    {
        $kinds = [self::kinds($one->group), self::kinds($other->group)];
        $isKindAgainstKind = array_intersect(...$kinds) === [];
        $isMixed = !$isKindAgainstKind && count($kinds[0]) + count($kinds[1]) > 2;
        $sets = [];
        foreach ([$one, $other] as $side => $sample) {
            foreach ([...self::read($sample), ...self::judged($sample)] as $found) {
                [$station, $code, $index, $height, $title, $fineness, $value, $isOutside, $bound] = $found;
                $key = implode(' ', [$code, $index, $height, $isKindAgainstKind ? '' : $station->kind->value]);
                $set = $sets[$key] ??= new FigureSet($code, $index, $title, $isMixed ? $station->kind->word().'s' : '', $fineness);
                $set->bound = $bound ?? $set->bound;
                $set->add($side, $value, $isOutside ? $station->code() : null);
            }
        }

        return $sets;
    }

    /** @return array<string> kinds of valve in a group */
    private static function kinds(Group $group): array
    {
        return array_unique(array_map(static fn (Station $station): string => $station->kind->value, $group->stations));
    }

    /** @return list<array{Station, string, string, string, string, Fineness, Uncertain, bool, Bound|null}> what was read at its stations */
    private static function read(Sample $sample): array
    {
        $bench = $sample->bench;
        $read = [];
        foreach ($bench->sheets->fittedTo($bench->case->engine) as $sheet) {
            foreach ($sheet->columns as $column) {
                $isOfStations = $column->site === Site::Station && !$column->index->has(Axis::Date);
                foreach ($isOfStations ? $sample->group->stations : [] as $station) {
                    foreach ($bench->readingsOf($column)[$station->code()] ?? [] as $index => $reading) {
                        $read[] = [
                            $station, $column->code, (string) $index, (string) ($reading->height()->base ?? ''), $column->label,
                            $column->fineness, $reading->uncertain(), false, null,
                        ];
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
     * @return list<array{Station, string, string, string, string, Fineness, Uncertain, bool, Bound|null}>
     */
    private static function judged(Sample $sample): array
    {
        $bench = $sample->bench;
        $found = [];
        foreach ($bench->sheets->judged as $judged) {
            $value = $bench->sheets->value($judged->value);
            $isOwn = $value->site === Site::Station && !$judged->isDeparture && !$judged->accusesOnly && $value->column === null;
            foreach ($isOwn ? $bench->marginsOf($judged->value) : [] as $margin) {
                $station = $sample->group->station($margin->place);
                $worked = $margin->because === null ? $margin->value() : null;
                if ($station !== null && $worked !== null) {
                    $found[] = [
                        $station, $judged->value, $margin->index ?? '', '', $value->title, $value->fineness, $worked, $margin->isOutside(),
                        $margin->limit->isOpen() ? null : $margin->limit->bounds(),
                    ];
                }
            }
        }

        return $found;
    }

    /** @return list<ComparedSign> */
    private static function signs(Knowledge $knowledge, Sample $one, Sample $other): array
    {
        $worst = $looked = [];
        foreach ([$one, $other] as $side => $sample) {
            foreach ($sample->bench->case->findings() as $finding) {
                if ($sample->group->station($finding->place) !== null) {
                    $known = $worst[$finding->sign][$side] ?? Severity::Absent;
                    $worst[$finding->sign][$side] = $finding->severity->value > $known->value ? $finding->severity : $known;
                }
            }
            foreach ($sample->bench->case->looks() as $look) {
                if ($sample->group->station($look->place) !== null) {
                    $looked[$look->part][$side] = true;
                }
            }
        }
        $signs = [];
        foreach ($worst as $code => $sides) {
            $sign = $knowledge->signs[$code] ?? null;
            foreach ([0, 1] as $side) {
                if (!isset($sides[$side]) && $sign?->seenBy === SeenBy::Eye && isset($looked[$sign->parts[0]->value][$side])) {
                    $sides[$side] = Severity::Absent;
                }
            }
            $compared = new ComparedSign(
                $code, $sign->name ?? $code, $sign === null ? '' : $sign->parts[0]->value, $sides[0] ?? null, $sides[1] ?? null,
            );
            if ($compared->steps() > 0) {
                $signs[] = $compared;
            }
        }
        usort($signs, static fn (ComparedSign $a, ComparedSign $b): int => [$b->steps(), $a->name] <=> [$a->steps(), $b->name]);

        return $signs;
    }

    /** @return list<Mismatch> */
    private static function words(Knowledge $knowledge, Sample $one, Sample $other): array
    {
        $said = [];
        foreach ([$one, $other] as $side => $sample) {
            foreach ($sample->bench->case->log->standing(EntryKind::Answer) as $entry) {
                $question = $knowledge->questions[$entry->slot->item] ?? null;
                if ($question?->site === Site::Station && $sample->group->station($entry->slot->place) !== null) {
                    foreach (Answer::fromNode($entry->node())->choices() as $choice) {
                        $said[$question->code][$side][] = ($question->choices[$choice] ?? null)->label ?? $choice;
                    }
                }
            }
        }
        $words = [];
        foreach ($said as $code => $sides) {
            [$first, $second] = [$sides[0] ?? [], $sides[1] ?? []];
            [$told, $toldOfOther] = [implode(', ', array_unique($first)), implode(', ', array_unique($second))];
            if ($first !== [] && $second !== [] && $told !== $toldOfOther) {
                $words[] = Mismatch::ofWords(
                    Difference::Groups, $knowledge->questions[$code], '', Side::said($one->group->name, $told, count($first)),
                    Side::said($other->group->name, $toldOfOther, count($second)), [],
                );
            }
        }

        return $words;
    }
}
