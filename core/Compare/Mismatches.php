<?php

declare(strict_types=1);

namespace MuteTapper\Core\Compare;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Entry\Answer;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Knowledge\Question;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Sheet\Axis;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Verdict\Margin;

/**
 * What does not match in an engine, found without being asked: found against claimed, some of a kind against the others, one bank
 * against the other. Figures are compared at equal heights, of intakes and exhausts apart.
 */
final readonly class Mismatches
{
    /** @param array<string, Question> $questions by code */
    public function __construct(private Bench $bench, private array $questions)
    {
    }

    /** @return list<Mismatch> claims first, then banks, then single ones; the largest by its gauges first */
    public function all(): array
    {
        $all = [];
        foreach ($this->bench->sheets->fittedTo($this->bench->case->engine) as $sheet) {
            foreach ($sheet->columns as $column) {
                if ($column->site === Site::Station && !$column->index->has(Axis::Date)) {
                    array_push($all, ...$this->fromClaim($column), ...$this->betweenBanks($column), ...$this->withinKind($column));
                }
            }
            foreach ($sheet->questions as $code) {
                array_push($all, ...$this->inWords($this->questions[$code] ?? throw new \LogicException('No question '.$code)));
            }
        }
        $order = array_flip(array_column(Difference::cases(), 'value'));
        usort($all, static fn (Mismatch $one, Mismatch $other): int => [$order[$one->kind->value], -($one->byGauge ?? \INF)]
            <=> [$order[$other->kind->value], -($other->byGauge ?? \INF)]);

        return $all;
    }

    /**
     * Whether the banks differ in any of these: in a figure beyond scatter and gauges, or in words.
     *
     * @param list<string> $codes of columns and questions
     */
    public function doBanksDiffer(array $codes): bool
    {
        foreach ($codes as $code) {
            $column = $this->bench->sheets->columns[$code] ?? null;
            $found = match (true) {
                $column !== null => $this->betweenBanks($column),
                isset($this->questions[$code]) => $this->inWords($this->questions[$code]),
                default => throw new \LogicException('Neither a column nor a question: '.$code),
            };
            foreach ($found as $mismatch) {
                if ($mismatch->kind === Difference::Banks) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<Mismatch> a line for the valves of a kind and bank that depart from their claim */
    private function fromClaim(Column $column): array
    {
        $groups = [];
        foreach ($column->isComparedWithClaim ? $this->bench->marginsOf($column->code.'_from_claim') : [] as $margin) {
            $station = $this->bench->case->engine->station($margin->place);
            if ($station !== null && $margin->isOutside()) {
                $groups[self::group($station).' '.$margin->index][] = [$station, $margin];
            }
        }
        $found = [];
        foreach ($groups as $group) {
            [$station, $margin] = $group[0];
            $values = $this->valuesOf($group, $column);
            $claim = $this->bench->claim($station->code(), $column, $margin->index);
            if ($values !== [] && $claim !== null) {
                $found[] = Mismatch::ofFigures(
                    Difference::Claim, $column, $margin->index, $this->groupWords($station), Side::of('claimed', [$claim->value]),
                    Side::of('found', $values), array_map(static fn (array $one): string => $one[0]->code(), $group),
                );
            }
        }

        return $found;
    }

    /**
     * @param non-empty-list<array{Station, Margin}> $group
     *
     * @return list<Uncertain>
     */
    private function valuesOf(array $group, Column $column): array
    {
        $values = [];
        foreach ($group as [$station, $margin]) {
            $given = $this->bench->value($station->code(), $column->code, $margin->index);
            if ($given instanceof Given) {
                $values[] = $given->value;
            }
        }

        return $values;
    }

    /** @return list<Mismatch> */
    private function betweenBanks(Column $column): array
    {
        $sets = [];
        foreach ($this->bench->case->engine->stations as $station) {
            foreach ($this->bench->readingsOf($column)[$station->code()] ?? [] as $index => $reading) {
                $set = $station->kind->value.' '.$index.' '.($reading->height()->base ?? '');
                $sets[$set]['index'] = (string) $index;
                $sets[$set]['kind'] = $station->kind;
                $sets[$set]['banks'][$station->cylinder->bank][] = $reading->uncertain();
            }
        }
        $found = [];
        foreach ($sets as $set) {
            $banks = $set['banks'];
            ksort($banks);
            $areRead = count($banks) === 2 && min(array_map(count(...), $banks)) >= Telling::LEAST;
            if ($areRead && Telling::between(...array_values($banks)) === true) {
                [$a, $b] = array_keys($banks);
                $found[] = Mismatch::ofFigures(
                    Difference::Banks, $column, $set['index'], $set['kind']->word().'s', Side::of('bank '.$a, $banks[$a]),
                    Side::of('bank '.$b, $banks[$b]), [],
                );
            }
        }

        return $found;
    }

    /** @return list<Mismatch> a line for the valves of a kind that are not as the others are */
    private function withinKind(Column $column): array
    {
        $groups = [];
        foreach ($column->isComparedWithSet ? $this->bench->marginsOf($column->code.Column::FROM_MIDDLE) : [] as $margin) {
            $station = $this->bench->case->engine->station($margin->place);
            if ($station !== null && $margin->isOutside()) {
                $groups[$station->kind->value.' '.$margin->index][] = [$station, $margin];
            }
        }
        $found = [];
        foreach ($groups as $group) {
            [$station, $margin] = $group[0];
            $values = $this->valuesOf($group, $column);
            $middle = $this->bench->value($station->code(), $column->code.Column::MIDDLE, $margin->index);
            if ($values !== [] && $middle instanceof Given) {
                $found[] = Mismatch::ofFigures(
                    Difference::Kind, $column, $margin->index, $station->kind->word().'s', Side::of('the others', [$middle->value]),
                    Side::of('found', $values), array_map(static fn (array $one): string => $one[0]->code(), $group),
                );
            }
        }

        return $found;
    }

    /** @return list<Mismatch> parts of different makes or kinds, in words: between the banks, else within a kind */
    private function inWords(Question $question): array
    {
        if ($question->site !== Site::Station) {
            return [];
        }
        $said = [];
        foreach ($this->bench->case->log->standing(EntryKind::Answer) as $entry) {
            $station = $entry->slot->item === $question->code ? $this->bench->case->engine->station($entry->slot->place) : null;
            if ($station !== null) {
                $choice = Answer::fromNode($entry->node())->choice;
                $said[$station->kind->value][$question->choices[$choice]->label ?? $choice][] = $station;
            }
        }
        $found = [];
        foreach ($said as $kind => $choices) {
            if (count($choices) === 2) {
                $found[] = $this->twoAnswers($question, ValveKind::from($kind), $choices);
            }
        }

        return $found;
    }

    /** @param array<string, non-empty-list<Station>> $choices two of them */
    private function twoAnswers(Question $question, ValveKind $kind, array $choices): Mismatch
    {
        uasort($choices, static fn (array $one, array $other): int => count($other) <=> count($one));
        [$usual, $odd] = array_keys($choices);
        $bank = static fn (Station $one): string => $one->cylinder->bank;
        $banks = array_map(
            static fn (array $stations): array => array_values(array_unique(array_map($bank, $stations))), array_values($choices),
        );
        $isByBank = count($banks[0]) === 1 && count($banks[1]) === 1 && $banks[0] !== $banks[1];
        $name = static fn (int $side, string $otherwise): string => $isByBank ? 'bank '.reset($banks[$side]) : $otherwise;

        return Mismatch::ofWords(
            $isByBank ? Difference::Banks : Difference::Kind, $question, $kind->word().'s',
            Side::said($name(0, 'the others'), $usual, count($choices[$usual])), Side::said($name(1, 'found'), $odd, count($choices[$odd])),
            array_map(static fn (Station $one): string => $one->code(), $choices[$odd]),
        );
    }

    private static function group(Station $station): string
    {
        return $station->cylinder->bank.' '.$station->kind->value;
    }

    private function groupWords(Station $station): string
    {
        $isVee = count($this->bench->case->engine->numbering) > 1;

        return $station->kind->word().'s'.($isVee ? ' of bank '.$station->cylinder->bank : '');
    }
}
