<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Entry\NotMeasurable;
use MuteTapper\Core\Entry\TypedReading;
use MuteTapper\Core\Quantity\EntryParser;
use MuteTapper\Core\Quantity\NotUnderstood;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Quantity\UnitSystem;
use MuteTapper\Core\Sheet\Column;

/**
 * Reads a table of whatever hand made it onto a sheet: which column is which is guessed by their heads and can be said otherwise.
 * Nothing is recorded here; what cannot be taken is named by line and column.
 */
final readonly class SheetCsvReader
{
    private const DELIMITERS = [',', ';', "\t", '|'];
    private const MOST_LINES = 2000;
    private const BYTE_ORDER_MARK = "\u{FEFF}";

    public function __construct(private SheetLayoutView $layout, private UnitSystem $units)
    {
    }

    /** @param list<string>|null $mapping what each column of the file is: the code of a field, the row, or nothing; null to be guessed */
    public function read(string $text, ?array $mapping): SheetCsvView
    {
        $text = str_starts_with($text, self::BYTE_ORDER_MARK) ? substr($text, strlen(self::BYTE_ORDER_MARK)) : $text;
        $delimiter = self::delimiter($text);
        $lines = self::lines($text, $delimiter);
        $headers = array_map(trim(...), array_shift($lines)[1] ?? []);
        $fields = [];
        foreach (CsvField::of($this->layout) as $field) {
            $fields[$field->code] = $field;
        }
        $mapping ??= $this->guessed($headers, $lines, $fields);
        $mapping = array_map(
            static fn (int $i): string => isset($fields[$mapping[$i] ?? '']) || ($mapping[$i] ?? '') === SheetCsvWriter::ROW
                ? $mapping[$i] ?? '' : '', array_keys($headers),
        );
        $refusals = self::ofMapping($mapping, $headers);
        $cells = [];
        if ($refusals === []) {
            [$cells, $refusals] = $this->cells($lines, $headers, $mapping, $fields, self::comma($lines, $delimiter));
        }

        return new SheetCsvView(
            $headers, $mapping,
            [
                new FaceView(SheetCsvWriter::ROW, 'the place'),
                ...array_map(static fn (CsvField $one): FaceView => new FaceView($one->code, $one->title()), array_values($fields)),
            ],
            count($lines), $cells, $refusals,
        );
    }

    /**
     * @param list<string> $mapping
     * @param list<string> $headers
     *
     * @return list<CsvRefusalView>
     */
    private static function ofMapping(array $mapping, array $headers): array
    {
        $used = array_count_values(array_filter($mapping, static fn (string $code): bool => $code !== ''));
        $refusals = [];
        if ($headers === []) {
            $refusals[] = new CsvRefusalView(1, '', 'The file is empty.');
        } elseif (!isset($used[SheetCsvWriter::ROW])) {
            $refusals[] = new CsvRefusalView(1, '', 'No column says which place a line is of: choose the one that does.');
        }
        foreach ($used as $code => $times) {
            if ($times > 1) {
                $twice = array_keys($mapping, $code, true);
                $refusals[] = new CsvRefusalView(1, $headers[$twice[1]] ?? '', 'Two columns are said to be the same.');
            }
        }

        return $refusals;
    }

    /**
     * @param list<array{int, list<string>}> $lines
     * @param list<string> $headers
     * @param list<string> $mapping
     * @param array<string, CsvField> $fields
     *
     * @return array{list<CsvCellView>, list<CsvRefusalView>}
     */
    private function cells(array $lines, array $headers, array $mapping, array $fields, bool $hasComma): array
    {
        $parser = new EntryParser($this->units);
        $rows = $this->rows();
        $at = (int) array_search(SheetCsvWriter::ROW, $mapping, true);
        $cells = $refusals = $seen = [];
        foreach ($lines as [$number, $line]) {
            $called = trim($line[$at] ?? '');
            $row = $rows[self::plain($called)] ?? null;
            if ($row === null || isset($seen[$row->key])) {
                $refusals[] = new CsvRefusalView($number, $headers[$at] ?? '', $row === null
                    ? sprintf('This sheet has no place “%s”.', $called) : sprintf('“%s” stood in a line before.', $called));
                continue;
            }
            $seen[$row->key] = true;
            foreach ($mapping as $i => $code) {
                $text = trim($line[$i] ?? '');
                if (!isset($fields[$code]) || $text === '') {
                    continue;
                }
                $column = AllSheets::get()->columns[$fields[$code]->column->code];
                $unit = self::unitOf($headers[$i]);
                $plain = $hasComma ? str_replace(',', '.', $text) : $text;
                $isLoad = $column->isAtHeight && preg_match('/^(.*)\s*(?:\bat\b|@)\s*(.+)$/i', $plain, $parts) === 1;
                [$load, $height] = $isLoad ? [trim($parts[1]), $parts[2]] : [$plain, null];
                $none = NotMeasurable::spelled($load);
                $figure = $none !== null ? $none->value : self::withUnit($load, $unit);
                try {
                    TypedReading::of($figure, $column->range, $parser);
                    $height === null ? null : $parser->parse($height, Column::testHeightRange());
                    $cells[] = new CsvCellView(
                        $row->place, $column->part->value, $column->code, $fields[$code]->index($row), $figure, $height, $code, $number,
                    );
                } catch (NotUnderstood $refusal) {
                    $refusals[] = new CsvRefusalView($number, $headers[$i], $refusal->reason);
                }
            }
        }

        return [$cells, $refusals];
    }

    /** A figure with the unit in the head of its column, where it has none of its own; a reason to keep it stays behind it. */
    private static function withUnit(string $figure, ?Unit $unit): string
    {
        return $unit === null ? $figure : (string) preg_replace('/(?<=[\d.,])(?=\s*(?:!|$))/', ' '.$unit->value, $figure, 1);
    }

    /** @return array<string, SheetRowView> rows by everything they are called */
    private function rows(): array
    {
        $rows = [];
        foreach ($this->layout->rows as $row) {
            foreach ([$row->key, $row->label, $row->name] as $name) {
                $rows[self::plain($name)] = $row;
            }
        }

        return $rows;
    }

    /**
     * @param list<string> $headers
     * @param list<array{int, list<string>}> $lines
     * @param array<string, CsvField> $fields
     *
     * @return list<string>
     */
    private function guessed(array $headers, array $lines, array $fields): array
    {
        $rows = $this->rows();
        $mapping = [];
        foreach ($headers as $i => $header) {
            $named = array_filter($lines, static fn (array $line): bool => isset($rows[self::plain($line[1][$i] ?? '')]));
            $isRow = !in_array(SheetCsvWriter::ROW, $mapping, true) && count($named) > count($lines) / 2;
            $mapping[] = $isRow ? SheetCsvWriter::ROW : $this->fieldOf($header, $fields, $mapping);
        }

        return $mapping;
    }

    /**
     * The field whose name a head has, else the only one whose words are all in it.
     *
     * @param array<string, CsvField> $fields
     * @param list<string> $taken
     */
    private function fieldOf(string $header, array $fields, array $taken): string
    {
        $bare = (string) preg_replace('/[(\[][^)\]]*[)\]]/u', '', $header);
        $words = self::words($bare);
        $found = [];
        foreach ($fields as $code => $field) {
            $names = [$field->label, $code, $field->column->head.' '.$field->column->under];
            foreach ($names as $name) {
                if (!in_array($code, $taken, true) && self::plain($bare) === self::plain($name)) {
                    return $code;
                }
            }
            if (!in_array($code, $taken, true) && $words !== [] && array_diff(self::words($field->label), $words) === []) {
                $found[] = $code;
            }
        }

        return count($found) === 1 ? $found[0] : '';
    }

    /** The unit that a head names in brackets. */
    private static function unitOf(string $header): ?Unit
    {
        return preg_match('/[(\[]\s*([^)\]]+?)\s*[)\]]/u', $header, $match) === 1 ? Unit::spelled($match[1]) : null;
    }

    private static function plain(string $text): string
    {
        return (string) preg_replace('/[^\p{L}\p{N}]+/u', '', mb_strtolower($text));
    }

    /** @return list<string> */
    private static function words(string $text): array
    {
        return array_values(array_filter(
            explode(' ', (string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', mb_strtolower($text))),
            static fn (string $word): bool => $word !== '',
        ));
    }

    /** The sign that stands most often in the first line. */
    private static function delimiter(string $text): string
    {
        $first = (string) strtok($text, "\r\n");
        $counts = array_map(static fn (string $one): int => substr_count($first, $one), self::DELIMITERS);

        return self::DELIMITERS[(int) array_search(max($counts), $counts, true)];
    }

    /** @return list<array{int, list<string>}> number of the line and its cells; empty lines are left out */
    private static function lines(string $text, string $delimiter): array
    {
        $file = new \SplTempFileObject();
        $file->fwrite($text);
        $file->rewind();
        $lines = [];
        $number = 0;
        while (!$file->eof() && ($cells = $file->fgetcsv($delimiter, '"', '')) !== false && $number < self::MOST_LINES) {
            ++$number;
            $cells = array_map(static fn (?string $cell): string => (string) $cell, array_values((array) $cells));
            if ($cells !== ['']) {
                $lines[] = [$number, $cells];
            }
        }

        return $lines;
    }

    /**
     * Whether figures have a comma for a point: where commas do not part the cells, some figure has one, and none has a point.
     *
     * @param list<array{int, list<string>}> $lines
     */
    private static function comma(array $lines, string $delimiter): bool
    {
        $all = implode(' ', array_merge(...array_map(static fn (array $line): array => $line[1], $lines)));

        return $delimiter !== ',' && preg_match('/\d,\d/', $all) === 1 && preg_match('/\d\.\d/', $all) !== 1;
    }
}
