<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use MuteTapper\App\Sheet\MarginView;
use MuteTapper\App\Sheet\SheetPresenter;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Verdict\Margin;
use MuteTapper\Core\Verdict\Verdict;

/** Every sheet on paper: its readings as they were taken, and its margins. */
final readonly class SheetTables
{
    private SheetPresenter $presenter;

    public function __construct(private Assessment $assessment)
    {
        $this->presenter = new SheetPresenter($assessment->bench, $assessment->knowledge->limits);
    }

    /**
     * Margins of the sheets of a step.
     *
     * @param \Closure(Margin): bool $wanted
     *
     * @return list<MarginView>
     */
    public function margins(Step $step, \Closure $wanted): array
    {
        $shown = [];
        foreach ($this->sheets() as $sheet) {
            foreach ($sheet->step === $step ? $this->assessment->bench->marginsOn($sheet) : [] as $margin) {
                if ($margin->verdict !== Verdict::NotMeasured && $wanted($margin)) {
                    $shown[] = MarginView::of($margin, $this->assessment->bench);
                }
            }
        }

        return $shown;
    }

    /** @return list<string> what the sheets of a step say as a whole */
    public function remarks(Step $step): array
    {
        return array_merge(
            ...array_map(
                fn (Sheet $sheet): array => $sheet->step === $step ? $this->assessment->bench->remarks($sheet) : [], $this->sheets(),
            ),
        );
    }

    /**
     * Every reading, sheet by sheet, in the columns that hold one.
     *
     * @return list<array{title: string, columns: list<array{head: string, unit: string}>,
     *     rows: list<array{label: string, cells: list<string>}>}>
     */
    public function readings(): array
    {
        $tables = [];
        foreach ($this->sheets() as $sheet) {
            foreach ($sheet->faceKeys === [] ? [''] : $sheet->faceKeys as $face) {
                $table = $this->table($sheet, $face);
                if ($table['rows'] !== []) {
                    $tables[] = $table;
                }
            }
        }

        return $tables;
    }

    /** @return list<Sheet> */
    private function sheets(): array
    {
        return $this->assessment->bench->sheets->fittedTo($this->assessment->case->engine);
    }

    /**
     * @return array{title: string, columns: list<array{head: string, unit: string}>, rows: list<array{label: string, cells: list<string>}>}
     */
    private function table(Sheet $sheet, string $face): array
    {
        $units = $this->assessment->case->settings->units;
        $columns = $used = $rows = [];
        foreach ($this->presenter->columnsOf($sheet) as $column) {
            if (!$sheet->isLoose && in_array($column->code, $sheet->also, true)) {
                continue; // printed with the sheet whose own it is
            }
            foreach ($this->presenter->templates($column->index, $sheet) as [$parts, $under]) {
                $columns[] = [$column, $parts, $under];
            }
        }
        foreach ($this->presenter->rows($sheet) as $row) {
            foreach ($sheet->lines?->keys($this->assessment->case->engine) ?? [''] as $line) {
                $cells = [];
                foreach ($columns as $c => [$column, $parts]) {
                    $cells[$c] = $this->cell(
                        $column, $row->place,
                        strtr(implode('.', $parts), ['{face}' => $face, '{row}' => $row->part, '{line}' => $line, '{date}' => '']),
                    );
                    $used[$c] = ($used[$c] ?? false) || $cells[$c] !== '';
                }
                if (array_filter($cells, static fn (string $cell): bool => $cell !== '') !== []) {
                    $rows[] = ['label' => trim($row->label.' '.$line), 'cells' => $cells];
                }
            }
        }
        $heads = $this->presenter->heads($sheet);
        $kept = array_filter($columns, static fn (int $c): bool => $used[$c] ?? false, \ARRAY_FILTER_USE_KEY);

        return [
            'title' => $sheet->title.($face === '' ? '' : ', '.$face),
            'columns' => array_values(array_map(static fn (array $one): array => [
                'head' => trim($heads[$one[0]->code].' '.$one[2]),
                'unit' => $units->shownIn($one[0]->dimension(), $one[0]->fineness)->symbol(),
            ], $kept)),
            'rows' => array_map(
                static fn (array $row): array => [
                    'label' => $row['label'], 'cells' => array_values(array_intersect_key($row['cells'], $kept)),
                ],
                $rows,
            ),
        ];
    }

    private function cell(Column $column, string $place, string $index): string
    {
        $index = trim($index, '.');
        $reading = $this->assessment->bench->reading($place, $column, $index === '' ? null : $index);
        $units = $this->assessment->case->settings->units;

        return $reading === null
            ? $this->assessment->bench->notMeasurable($place, $column, $index === '' ? null : $index)->value ?? ''
            : $units->figure(
                $reading->typed->quantity(), 0, $column->fineness,
            ).($reading->at === null ? '' : ' at '.$units->figure($reading->at->quantity()));
    }
}
