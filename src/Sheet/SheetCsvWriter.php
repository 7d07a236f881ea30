<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use MuteTapper\App\Shared\Csv;
use MuteTapper\Core\Entry\NotMeasurable;
use MuteTapper\Core\Entry\Reading;
use MuteTapper\Core\Quantity\Typed;
use MuteTapper\Core\Sheet\Bench;

/** A sheet as CSV [pub: RFC 4180] with its description [pub: W3C, Metadata Vocabulary for Tabular Data]. */
final readonly class SheetCsvWriter
{
    public const ROW = 'place';
    private const CONTEXT = 'http://www.w3.org/ns/csvw';

    public function __construct(private SheetLayoutView $layout, private Bench $bench)
    {
    }

    public function csv(): string
    {
        $fields = CsvField::of($this->layout);
        $lines = [[self::ROW, ...array_map(static fn (CsvField $field): string => $field->title(), $fields)]];
        foreach ($this->layout->rows as $row) {
            $lines[] = [$row->label, ...array_map(fn (CsvField $field): string => $this->cell($field, $row), $fields)];
        }

        return Csv::of($lines);
    }

    /** @return array<string, mixed> what each column is and in which unit its figures stand */
    public function metadata(string $url): array
    {
        $columns = array_map(fn (CsvField $field): array => [
            'name' => str_replace(['.', '-'], '_', $field->code), 'titles' => $field->title(),
            'datatype' => $field->column->atHeight || $this->hasKept($field) ? 'string' : 'decimal',
            'dc:description' => $field->label.($field->column->atHeight ? ': load at the height that it was read at' : ''),
            'dc:format' => $field->column->unit, 'required' => false,
            'null' => ['', ...array_column(NotMeasurable::cases(), 'value')],
        ], CsvField::of($this->layout));

        return [
            '@context' => [self::CONTEXT, ['@language' => 'en']], 'url' => $url, 'dc:title' => $this->layout->title,
            'dialect' => ['delimiter' => ',', 'encoding' => 'utf-8', 'header' => true, 'lineTerminators' => ["\r\n", "\n"]],
            'tableSchema' => [
                'primaryKey' => self::ROW,
                'columns' => [['name' => self::ROW, 'titles' => self::ROW, 'datatype' => 'string', 'required' => true], ...$columns],
            ],
        ];
    }

    /** Whether a figure of it was kept against all likelihood: its reason stands behind it. */
    private function hasKept(CsvField $field): bool
    {
        $column = $this->bench->sheets->columns[$field->column->code];

        return array_filter($this->layout->rows, fn (SheetRowView $row): bool => $this->bench->reading(
            $row->place, $column, $field->index($row),
        )?->kept !== null) !== [];
    }

    private function cell(CsvField $field, SheetRowView $row): string
    {
        $column = $this->bench->sheets->columns[$field->column->code];
        $reading = $this->bench->reading($row->place, $column, $field->index($row));
        if ($reading === null) {
            return $this->bench->notMeasurable($row->place, $column, $field->index($row))->value ?? '';
        }
        $at = $reading->at === null ? '' : sprintf(
            ' at %s %s', number_format($reading->at->number, $reading->at->decimals, '.', ''), $reading->at->unit->value,
        );

        return self::figure($reading, $field).($reading->kept === null ? '' : ' ! '.$reading->kept).$at;
    }

    /** The figure as it was typed, in the unit of the column: a conversion shows one digit more. */
    private static function figure(Reading $reading, CsvField $field): string
    {
        $unit = $field->unit();
        $written = static fn (Typed $typed): string => number_format($typed->number, $typed->decimals, '.', '');
        if ($unit === null || $unit === $reading->typed->unit) {
            return $written($reading->typed);
        }
        $step = 10 ** -$reading->typed->decimals * $reading->typed->unit->baseFactor() / $unit->baseFactor();

        return number_format($reading->typed->quantity()->in($unit), max(0, (int) ceil(-log10($step)) + 1), '.', '');
    }
}
