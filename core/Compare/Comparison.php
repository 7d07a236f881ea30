<?php

declare(strict_types=1);

namespace MuteTapper\Core\Compare;

use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Entry\Answer;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Severity;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Knowledge\SeenBy;

/**
 * Two groups beside each other: what was read, worked out, seen and said of them, as far as it differs by more than scatter and
 * gauges make. Intakes are held against intakes, loads at equal heights.
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
        $kinds = [self::kinds($one), self::kinds($other)];
        $isKindAgainstKind = array_intersect(...$kinds) === [];
        $isMixed = !$isKindAgainstKind && count($kinds[0]) + count($kinds[1]) > 2;
        $sets = [];
        foreach ([$one, $other] as $side => $sample) {
            foreach (Figures::of($sample) as $found) {
                $kind = $sample->kindAt($found->place);
                $key = implode(' ', [$found->code, $found->index, $found->height, $isKindAgainstKind ? '' : $kind?->value]);
                $where = match (true) {
                    !$isMixed => '',
                    $kind === null => 'off the engine',
                    default => $kind->word().'s',
                };
                $set = $sets[$key] ??= new FigureSet($found->code, $found->index, $found->title, $where, $found->fineness);
                $set->add($side, $found);
            }
        }

        return $sets;
    }

    /** @return array<string> kinds of valve in a group; empty for what is off the engine */
    private static function kinds(Sample $sample): array
    {
        return array_unique(array_map(
            static fn (string $place): string => $sample->kindAt($place)->value ?? '', $sample->group->places,
        ));
    }

    /** @return list<ComparedSign> */
    private static function signs(Knowledge $knowledge, Sample $one, Sample $other): array
    {
        $worst = $looked = [];
        foreach ([$one, $other] as $side => $sample) {
            foreach ($sample->bench->case->findings() as $finding) {
                if ($sample->group->has($finding->place)) {
                    $known = $worst[$finding->sign][$side] ?? Severity::Absent;
                    $worst[$finding->sign][$side] = $finding->severity->value > $known->value ? $finding->severity : $known;
                }
            }
            foreach ($sample->bench->case->looks() as $look) {
                if ($sample->group->has($look->place)) {
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
                if ($question?->site === Site::Station && $sample->group->has($entry->slot->place)) {
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
