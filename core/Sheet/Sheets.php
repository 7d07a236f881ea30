<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Departure;
use MuteTapper\Core\Calculation\LongCalculation;
use MuteTapper\Core\Calculation\OfSet;
use MuteTapper\Core\Engine\Engine;

/** All sheets, and by name all that stands on them. Invariant: each name of a value is declared once, each input exists. */
final readonly class Sheets
{
    /**
     * @param list<Sheet> $sheets
     * @param array<string, Column> $columns
     * @param array<string, Value> $values
     * @param array<string, Judged> $judged
     * @param array<string, string> $sheetOf code of the sheet on which a value is declared
     */
    private function __construct(
        public array $sheets,
        public array $columns,
        public array $values,
        public array $judged,
        private array $sheetOf,
    ) {
    }

    public static function of(Sheet ...$sheets): self
    {
        $columns = $values = $judged = $sheetOf = [];
        foreach ($sheets as $sheet) {
            $own = $sheet->values;
            $rules = $sheet->judged;
            foreach ($sheet->columns as $column) {
                $columns[$column->code] = $column;
                $own[] = Value::read($column);
                if ($column->isComparedWithClaim) {
                    $own[] = Value::named(
                        $column->code.'_from_claim', $column->label.' against claim', $column->dimension(), $column->site,
                        ...$column->index->axes,
                    )
                        ->by(
                            Way::derived(
                                Departure::of($column->dimension()),
                                ['found' => From::measured($column->code), 'claimed' => From::claim($column->code)],
                            ),
                        )
                        ->shownIn($column->fineness);
                    $rules[] = Judged::departure($column);
                }
                if ($column->isComparedWithSet) {
                    array_push($own, ...self::againstSet($column));
                    $rules[] = Judged::againstSet($column);
                }
            }
            foreach ($own as $value) {
                if (isset($values[$value->name])) {
                    throw new \LogicException(
                        sprintf('The value “%s” is declared twice: on %s and on %s.', $value->name, $sheetOf[$value->name], $sheet->code),
                    );
                }
                $values[$value->name] = $value;
                $sheetOf[$value->name] = $sheet->code;
            }
            foreach ($rules as $rule) {
                $judged[$rule->value] = $rule;
            }
        }
        $all = new self(array_values($sheets), $columns, $values, $judged, $sheetOf);
        $all->check();

        return $all;
    }

    /** @return list<Value> the middle value of a column's set, and how far each lies from it */
    private static function againstSet(Column $column): array
    {
        $dimension = $column->dimension();
        $few = sprintf('at least %d of the same kind', Column::LEAST_SET);
        $middle = OfSet::middle(
            'middle-of-'.$dimension->value, 'Middle value of a set: '.str_replace('_', ' ', $dimension->value), 'readings',
            'readings of the set', $dimension,
        );
        $named = static fn (string $end, string $title): Value => Value::named(
            $column->code.$end, $column->label.$title, $dimension, $column->site, ...$column->index->axes,
        )->shownIn($column->fineness);

        return [
            $named(Column::MIDDLE, ', middle value of the kind')->by(Way::derived(
                $middle,
                ['readings' => From::peers($column->code, Peers::ofKind(Column::LEAST_SET)->ofOnePopulation())->called($few)],
            )),
            $named(Column::FROM_MIDDLE, ' against the middle value')->by(Way::derived(
                Departure::fromMiddle($dimension),
                ['found' => From::measured($column->code), 'middle' => From::value($column->code.Column::MIDDLE)->called($few)],
            )),
        ];
    }

    public function named(string $code): ?Sheet
    {
        foreach ($this->sheets as $sheet) {
            if ($sheet->code === $code) {
                return $sheet;
            }
        }

        return null;
    }

    public function value(string $name): Value
    {
        return $this->values[$name] ?? throw new \LogicException('No sheet declares the value '.$name);
    }

    public function sheetOf(string $value): Sheet
    {
        return $this->named($this->sheetOf[$value] ?? '') ?? throw new \LogicException('No sheet declares the value '.$value);
    }

    /** @return list<Judged> values judged on a sheet */
    public function judgedOn(Sheet $sheet): array
    {
        return array_values(array_filter($this->judged, fn (Judged $judged): bool => $this->sheetOf[$judged->value] === $sheet->code));
    }

    /** @return list<Value> values declared on a sheet, and those of others that it shows */
    public function valuesOn(Sheet $sheet): array
    {
        return array_values(array_filter(
            $this->values,
            fn (Value $value): bool => $this->sheetOf[$value->name] === $sheet->code || in_array($value->name, $sheet->shows, true),
        ));
    }

    /** @return list<Sheet> */
    public function fittedTo(Engine $engine): array
    {
        return array_values(array_filter($this->sheets, static fn (Sheet $sheet): bool => $sheet->isFittedTo($engine)));
    }

    /** @return list<Value> those that follow, one way or another, from a calculation that takes long */
    public function solvedLong(): array
    {
        return array_values(array_filter($this->values, static fn (Value $value): bool => array_filter(
            $value->ways, static fn (Way $way): bool => $way->calculation instanceof LongCalculation,
        ) !== []));
    }

    /** @return array<string, Calculation> every calculation that a way makes use of, by name */
    public function calculations(): array
    {
        $found = [];
        foreach ($this->values as $value) {
            foreach ($value->ways as $way) {
                if ($way->calculation !== null) {
                    $found[$way->calculation->name()] ??= $way->calculation;
                }
            }
        }

        return $found;
    }

    private function check(): void
    {
        foreach ($this->values as $value) {
            foreach ($value->ways as $way) {
                foreach ([...$way->inputs, ...($way->same === null ? [] : [$way->same])] as $from) {
                    $this->value($from->name);
                }
                $wanted = array_map(static fn ($input): string => $input->name, $way->calculation?->inputs() ?? []);
                if (array_diff($wanted, array_keys($way->inputs)) !== []) {
                    throw new \LogicException(
                        sprintf('A way to “%s” lacks an input of “%s”.', $value->name, $way->calculation?->name() ?? ''),
                    );
                }
            }
        }
        foreach ($this->judged as $judged) {
            $this->value($judged->value);
        }
    }
}
