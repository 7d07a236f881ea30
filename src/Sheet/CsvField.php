<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use MuteTapper\Core\Quantity\Unit;

/** One column of a sheet as a file: of one page and one line of it. */
final readonly class CsvField
{
    private function __construct(
        public string $code,
        public string $label,
        public SheetColumnView $column,
        private string $face,
        private string $line,
    ) {
    }

    /** @return list<self> every column of a sheet, page by page and line by line */
    public static function of(SheetLayoutView $layout): array
    {
        $plain = [new FaceView('', '')];
        $fields = [];
        foreach ($layout->faces === [] ? $plain : $layout->faces as $face) {
            foreach ($layout->columns as $column) {
                // A line is chosen only in an index that has one; other columns stand once.
                $lines = in_array('{line}', $column->index, true) && $layout->lines !== [] ? $layout->lines : $plain;
                foreach ($lines as $line) {
                    $chosen = in_array('{face}', $column->index, true) ? $face : $plain[0];
                    $code = self::joined([$column->code, ...self::parts($column, $chosen->code, $line->code, '')]);
                    $fields[$code] ??= new self(
                        $code, implode(', ', array_filter(
                            [$column->name, $chosen->label, $line->label], static fn (string $part): bool => $part !== '',
                        )), $column, $chosen->code, $line->code,
                    );
                }
            }
        }

        return array_values($fields);
    }

    /** What stands over it in a file: what it is, with its unit. */
    public function title(): string
    {
        return $this->label.($this->column->unit === '' ? '' : sprintf(' (%s)', $this->column->unit));
    }

    public function unit(): ?Unit
    {
        return Unit::tryFrom($this->column->unit === '' ? '1' : $this->column->unit);
    }

    /** The index of its slot in a row; null where it has none. */
    public function index(SheetRowView $row): ?string
    {
        $index = self::joined(self::parts($this->column, $this->face, $this->line, $row->part));

        return $index === '' ? null : $index;
    }

    /** @return list<string> parts of an index, those that are chosen filled in */
    private static function parts(SheetColumnView $column, string $face, string $line, string $row): array
    {
        $chosen = ['{face}' => $face, '{line}' => $line, '{row}' => $row, '{date}' => ''];

        return array_map(static fn (string $part): string => $chosen[$part] ?? $part, $column->index);
    }

    /** @param list<string> $parts */
    private static function joined(array $parts): string
    {
        return implode('.', array_filter($parts, static fn (string $part): bool => $part !== ''));
    }
}
