<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Cams;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Entry\Claim;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Sheet\Axis;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\Curve;
use MuteTapper\Core\Sheet\Index;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Spring\MoreOrLess;
use MuteTapper\Core\Verdict\Limits;
use MuteTapper\Core\Verdict\Margin;

/** Puts declared sheets into the shapes that screens, report and command line read. No sheet has anything of its own here. */
final readonly class SheetPresenter
{
    public function __construct(private Bench $bench, private Limits $limits)
    {
    }

    public function layout(Sheet $sheet): SheetLayoutView
    {
        $engine = $this->bench->case->engine;
        $columns = $computed = $margins = [];
        $heads = $this->heads($sheet);
        foreach ($this->columnsOf($sheet) as $column) {
            foreach ($this->templates($column->index, $sheet) as [$index, $under]) {
                $columns[] = new SheetColumnView(
                    implode('.', [$column->code, ...$index]), $column->code, $column->part->value, $heads[$column->code], $under,
                    trim($column->label.' '.$under), $index,
                    $this->unit($column, $column->fineness === Fineness::Tenths ? Fineness::Usual : $column->fineness),
                    $column->dimension()->value, $column->gauge, $column->isAtHeight, $column->usualHeight,
                );
            }
        }
        foreach ($this->bench->sheets->valuesOn($sheet) as $value) {
            if ($value->short !== null) {
                foreach ($this->templates($value->index, $sheet) as [$index, $under]) {
                    $computed[] = new ComputedColumnView(
                        implode('.', [$value->name, ...$index]), $value->name, $value->short, $under, $index, $this->unitOf($value),
                    );
                }
            }
        }
        foreach ($this->bench->judgedOn($sheet) as $judged) {
            if (!$judged->isDeparture && !$judged->isApart) {
                array_push($margins, ...$this->marginColumns($judged, $sheet));
            }
        }

        return new SheetLayoutView(
            $sheet->code, $sheet->title, $sheet->step, $sheet->goesAcross, $this->rows($sheet),
            array_map(static fn (string $key): FaceView => new FaceView($key, $key), $sheet->faceKeys),
            array_map(static fn (string $key): FaceView => new FaceView($key, $key), $sheet->lines?->keys($engine) ?? []),
            $columns, $computed, $margins, $sheet->questions, $sheet->isLoose,
        );
    }

    public function sheet(Sheet $sheet): SheetView
    {
        return new SheetView(
            $sheet->code, $sheet->title,
            array_map(fn (Margin $margin): MarginView => MarginView::of($margin, $this->bench), $this->bench->marginsOn($sheet)),
            $this->values($sheet), $this->bench->remarks($sheet),
            array_map(
                fn (Curve $curve): CurveView => CurveView::of($curve, $this->bench->case->settings->units),
                $sheet->curves === null ? [] : ($sheet->curves)($this->bench),
            ),
        );
    }

    /**
     * Margins of the sheets of a step, of some quantities, or all.
     *
     * @param list<string> $quantities
     */
    public function margins(?Step $step, array $quantities = []): MarginsView
    {
        $columns = $shown = [];
        foreach ($this->bench->sheets->fittedTo($this->bench->case->engine) as $sheet) {
            if ($step !== null && $sheet->step !== $step) {
                continue;
            }
            $isBegun = $sheet->isCountedAlways || $this->isBegun($sheet);
            foreach ($this->bench->judgedOn($sheet) as $judged) {
                if ($quantities !== [] && !in_array($judged->value, $quantities, true)) {
                    continue;
                }
                $margins = $this->bench->marginsOf($judged->value);
                foreach ($this->fieldColumns($judged, $margins, $isBegun) as $column) {
                    $columns[] = $column;
                }
                array_push($shown, ...$margins);
            }
        }

        return new MarginsView($columns, array_map(fn (Margin $margin): MarginView => MarginView::of($margin, $this->bench), $shown));
    }

    public function moreOrLess(): MoreOrLessView
    {
        $units = $this->bench->case->settings->units;
        $rows = MoreOrLess::on($this->bench);
        $columns = fn (string ...$names): array => array_merge(...array_map(
            fn (string $name): array => $this->fieldColumns($this->bench->sheets->judged[$name], $this->bench->marginsOf($name), true),
            array_values($names),
        ));

        return new MoreOrLessView(
            $columns(...MoreOrLess::TOO_LITTLE), $columns(...MoreOrLess::TOO_MUCH),
            array_map(fn (MoreOrLess $row): MoreOrLessRowView => new MoreOrLessRowView(
                $row->kind, $row->percent, QuantityView::uncertain($row->seatLoad, $units), QuantityView::uncertain($row->openLoad, $units),
                array_map(fn (Margin $margin): MarginView => MarginView::of($margin, $this->bench), $row->worst),
            ), $rows),
            $rows === [] ? MoreOrLess::missing($this->bench) : [],
        );
    }

    /** @return list<Column> columns that are typed into on a sheet of this engine */
    public function columnsOf(Sheet $sheet): array
    {
        $engine = $this->bench->case->engine;
        $hasDual = array_filter($engine->stations, fn ($station): bool => $this->bench->isDual($station->code())) !== [];
        $columns = [...array_map(fn (string $code): Column => $this->bench->sheets->columns[$code], $sheet->also), ...$sheet->columns];

        return array_values(
            array_filter(
                $columns,
                static fn (Column $column): bool => $column
                    ->isReadable && $column->isFittedTo($engine) && (!$column->isForDual || $hasDual),
            ),
        );
    }

    /** @return array<string, string> heads of the columns, by code: their short ones, where these tell them apart */
    public function heads(Sheet $sheet): array
    {
        $columns = $this->columnsOf($sheet);
        $uses = array_count_values(array_map(static fn (Column $column): string => $column->short, $columns));

        return array_column(array_map(static fn (Column $column): array => [
            $column->code, $uses[$column->short] > 1 ? $column->label : $column->short,
        ], $columns), 1, 0);
    }

    /** @return list<SheetRowView> */
    public function rows(Sheet $sheet): array
    {
        $engine = $this->bench->case->engine;
        if ($sheet->rows !== null) {
            $labels = $sheet->rows === Axis::Cam ? Cams::of($engine) : [];

            return array_map(
                static fn (string $key): SheetRowView => new SheetRowView(
                    $key, Place::ENGINE, $key, $labels[$key] ?? $key, $labels[$key] ?? $key, false,
                ),
                $sheet->rows->keys($engine),
            );
        }

        return array_map(static function (string $place) use ($engine): SheetRowView {
            $name = $engine->placeLabel($place) ?? $place;
            $label = str_replace(['cylinder ', 'loose '], '', $name);

            return new SheetRowView($place, $place, '', $label, $name, $engine->station($place) !== null);
        }, $sheet->isLoose ? $this->bench->loosePlaces() : $sheet->places($engine));
    }

    /**
     * What the parts of an index are on a sheet: chosen with a face, a line, a row or a date, or columns of their own.
     *
     * @return list<array{list<string>, string}> parts, and what tells the column from its like
     */
    public function templates(Index $index, Sheet $sheet): array
    {
        $templates = [[[], '']];
        foreach ($index->axes as $axis) {
            $chosen = match ($axis) {
                Axis::Date => '{date}',
                $sheet->faces => '{face}',
                $sheet->lines => '{line}',
                $sheet->rows => '{row}',
                default => null,
            };
            $longer = [];
            foreach ($templates as [$parts, $under]) {
                foreach ($chosen === null ? $axis->keys($this->bench->case->engine) : [$chosen] as $key) {
                    $longer[] = [[...$parts, $key], $chosen === null ? trim($under.' '.$key) : $under];
                }
            }
            $templates = $longer;
        }

        return $templates;
    }

    /** @return list<ValueView> */
    private function values(Sheet $sheet): array
    {
        $views = [];
        $units = $this->bench->case->settings->units;
        foreach ($this->bench->sheets->valuesOn($sheet) as $value) {
            if ($value->short === null) {
                continue;
            }
            foreach ($sheet->isLoose ? $this->bench->loosePlaces() : $this->bench->case->engine->sites($value->site) as $place) {
                foreach ($this->bench->partsAt($place, $value) as $parts) {
                    $index = $value->index->join($parts);
                    $found = $this->bench->value($place, $value->name, $index);
                    if ($found instanceof Given && $found->trace !== null) {
                        $views[] = new ValueView(
                            $place, $value->name, $index, $value->title, QuantityView::uncertain($found->value, $units, $value->fineness),
                            $found->trace->calculation->formula(),
                        );
                    }
                }
            }
        }

        return $views;
    }

    /** @return list<MarginColumnView> rules beside the readings of a sheet */
    private function marginColumns(Judged $judged, Sheet $sheet): array
    {
        $value = $this->bench->sheets->value($judged->value);
        $any = $judged->isWorstOfAll || $judged->firstOf !== [];
        $words = $this->limitWords($judged, $value->fineness);

        return array_map(
            fn (array $template): MarginColumnView => new MarginColumnView(
                implode('.', [$judged->value, ...$template[0]]), $judged->value, $this->limits->of($judged->value)->title,
                trim($judged->head.' '.$template[1]), $template[0], $words, RuleField::of($judged),
            ),
            $any ? [[[], '']] : $this->templates($value->index, $sheet),
        );
    }

    /**
     * Columns of a field of rules: one an index that occurs, where anything was measured. Of a sheet that is not begun only what is
     * known has a column.
     *
     * @param list<Margin> $margins
     *
     * @return list<MarginColumnView>
     */
    private function fieldColumns(Judged $judged, array $margins, bool $isBegun): array
    {
        $value = $this->bench->sheets->value($judged->value);
        $found = [];
        foreach ($margins as $margin) {
            $key = $margin->index ?? '';
            $found[$key]['known'] = ($found[$key]['known'] ?? false) || $margin->value() !== null;
        }
        $columns = [];
        $words = $this->limitWords($judged, $value->fineness);
        foreach ($found as $key => $one) {
            if ($one['known'] || ($isBegun && !$judged->isDeparture && in_array((string) $key, ['', Coil::Outer->value], true))) {
                $of = $key === '' || $key === Coil::Outer->value ? '' : $key.' ';
                $columns[] = new MarginColumnView(
                    $judged->value.'.'.$key, $judged->value, $this->limits->of($judged->value)->title, $of.$judged->head,
                    $key === '' ? [] : [(string) $key], $words, RuleField::of($judged),
                );
            }
        }

        return $columns;
    }

    private function isBegun(Sheet $sheet): bool
    {
        $codes = array_map(static fn (Column $column): string => $column->code, $sheet->columns);
        foreach ($this->bench->case->log->standing(EntryKind::Reading) as $entry) {
            if (in_array($entry->slot->item, $codes, true)) {
                return true;
            }
        }

        return false;
    }

    /** The limit as it stands over a column of rules; where it differs by kind of valve, for each of them. */
    private function limitWords(Judged $judged, Fineness $fineness): string
    {
        $words = [];
        foreach (ValveKind::cases() as $kind) {
            $limit = $this->limits->of($judged->value)->ofKind($kind)->ruledBy($this->bench->case->settings->schoolOf($judged->value));
            $words[$kind->value] = $this->makersWords($judged, $kind, $fineness)
                ?? MarginView::limitWords($limit, $this->bench->case->settings->units, $fineness);
        }
        $same = count(array_unique($words)) === 1;

        return $same
            ? reset($words)
            : implode('; ', array_map(static fn (string $kind, string $of): string => $kind.' '.$of, array_keys($words), $words));
    }

    /** The limits that makers state for valves of a kind, where any does: beside each other where they differ from place to place. */
    private function makersWords(Judged $judged, ValveKind $kind, Fineness $fineness): ?string
    {
        $stated = array_filter(
            $this->bench->case->log->standing(EntryKind::Claim),
            static fn (Entry $claim): bool => str_starts_with($claim->slot->item, Claim::MAKER.$judged->value.'.'),
        );
        if ($stated === []) {
            return null;
        }
        $words = [];
        foreach ($this->bench->marginsOf($judged->value) as $margin) {
            if (($this->bench->case->engine->station($margin->place)->kind ?? $kind) === $kind) {
                $words[MarginView::limitWords($margin->limit, $this->bench->case->settings->units, $fineness)] = true;
            }
        }

        return implode(' or ', array_keys($words));
    }

    private function unit(Column $column, Fineness $fineness): string
    {
        return $this->bench->case->settings->units->shownIn($column->dimension(), $fineness)->symbol();
    }

    private function unitOf(Value $value): string
    {
        return $this->bench->case->settings->units->shownIn($value->dimension, $value->fineness)->symbol();
    }
}
