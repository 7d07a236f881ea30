<?php

declare(strict_types=1);

namespace MuteTapper\Core\RunLog;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;

/** How a log file is written: delimiter, decimal sign, lines before the figures, and what its columns hold. */
final readonly class LogFormat
{
    /** No time, speed, pressure or temperature of a log is beyond this. [own] */
    private const MOST = 1e9;

    private const DELIMITERS = [',', ';', "\t", '|'];

    /**
     * @param non-empty-string $delimiter
     * @param list<string> $headers as written
     * @param list<ColumnOfLog> $columns
     * @param list<string> $doubts what could not be recognised, in words
     */
    private function __construct(
        public string $delimiter,
        public string $decimal,
        public int $headerLines,
        public array $headers,
        public array $columns,
        public array $doubts,
    ) {
    }

    /**
     * Recognises the format from the first lines of a file.
     *
     * @throws BadDocument when it is no table of figures
     */
    public static function recognise(string $head): self
    {
        $lines = array_slice(explode("\n", str_replace(["\r\n", "\r"], "\n", self::withoutMark($head))), 0, 60);
        $best = null;
        foreach (self::DELIMITERS as $delimiter) {
            foreach ($delimiter === ',' ? ['.'] : ['.', ','] as $decimal) {
                $width = 0;
                $first = null;
                $rows = 0;
                foreach ($lines as $i => $line) {
                    $cells = self::split($line, $delimiter);
                    $figures = count(array_filter($cells, static fn (string $cell): bool => self::number($cell, $decimal) !== null));
                    if (
                        count($cells) > 1
                        && $figures === count(array_filter($cells, static fn (string $cell): bool => $cell !== ''))
                        && $figures > 1
                    ) {
                        $first ??= $i;
                        $width = max($width, $figures);
                        ++$rows;
                    }
                }
                if ($first !== null && ($best === null || [$rows * $width, $width] > [$best[0], $best[1]])) {
                    $best = [$rows * $width, $width, $delimiter, $decimal, $first];
                }
            }
        }
        if ($best === null) {
            throw BadDocument::at(
                '',
                sprintf(
                    'this is not a log: no line holds two or more figures parted by comma, semicolon, tab or bar. It begins with “%s”.',
                    mb_strimwidth(trim($lines[0] ?? ''), 0, 60, '…'),
                ),
            );
        }
        [, , $delimiter, $decimal, $first] = $best;
        if ($first === 0) {
            throw BadDocument::at('/headers', 'the first line holds figures already: a header that names the columns is needed.');
        }
        $headerAt = $first - 1;
        $units = [];
        // A line of units may stand between the header and the figures.
        if (
            $first >= 2
            && count(self::split($lines[$first - 2], $delimiter)) === count(self::split($lines[$first - 1], $delimiter))
            && self::looksLikeUnits(self::split($lines[$first - 1], $delimiter))
        ) {
            $units = self::split($lines[$first - 1], $delimiter);
            $headerAt = $first - 2;
        }
        $headers = self::split($lines[$headerAt], $delimiter);
        [$columns, $doubts] = self::columns($headers, $units);

        return new self($delimiter, $decimal, $first, $headers, $columns, $doubts);
    }

    /**
     * A format as a person corrected it.
     *
     * @throws BadDocument
     */
    public static function fromNode(Node $node): self
    {
        $columns = [];
        foreach ($node->get('columns')->items() as $one) {
            $channel = $one->get('channel')->choice(Channel::class);
            $unit = $one->get('unit')->text(20);
            if (!isset($channel->units()[$unit])) {
                throw BadDocument::at(
                    $one->pointer.'/unit',
                    sprintf(
                        'the column of the %s has no unit that is known here: “%s”. Accepted are %s.', $channel->label(), $unit,
                        implode(', ', array_diff(array_keys($channel->units()), [''])),
                    ),
                );
            }
            if (isset($columns[$channel->value])) {
                throw BadDocument::at($one->pointer, sprintf('two columns are said to hold the %s.', $channel->label()));
            }
            $columns[$channel->value] = new ColumnOfLog($one->get('index')->whole(0, 1000), $channel, $unit);
        }
        foreach ([Channel::Time, Channel::Speed] as $needed) {
            if (!isset($columns[$needed->value])) {
                throw BadDocument::at(
                    $node->pointer.'/columns',
                    sprintf('no column holds the %s; without it nothing can be found in the log.', $needed->label()),
                );
            }
        }
        $delimiter = $node->get('delimiter')->text(1);
        $decimal = $node->get('decimal')->text(1);
        if (!in_array($delimiter, self::DELIMITERS, true) || !in_array($decimal, ['.', ','], true) || $delimiter === $decimal) {
            throw BadDocument::at(
                $node->pointer.'/delimiter',
                'columns are parted by comma, semicolon, tab or bar, and figures have a point or a comma that is not the same.',
            );
        }

        return new self(
            $delimiter, $decimal, $node->get('header_lines')->whole(1, 60), $node->maybe('headers')?->words() ?? [], array_values($columns),
            [],
        );
    }

    /** @return array<string, mixed> in the shape that fromNode reads */
    public function toArray(): array
    {
        return [
            'delimiter' => $this->delimiter, 'decimal' => $this->decimal, 'header_lines' => $this->headerLines, 'headers' => $this->headers,
            'columns' => array_map(
                static fn (ColumnOfLog $column): array => [
                    'index' => $column->index, 'channel' => $column->channel->value, 'unit' => $column->unit,
                ],
                $this->columns,
            ),
        ];
    }

    /**
     * The channels of one line in their kept units; null for an empty line.
     *
     * @return array<string, float>|null by channel, only those with a figure
     *
     * @throws BadDocument when a cell of a mapped column holds no figure
     */
    public function read(string $line, int $number): ?array
    {
        if (trim($line) === '') {
            return null;
        }
        $cells = !str_contains($line, '"') ? explode($this->delimiter, $line) : self::split($line, $this->delimiter);
        $values = [];
        foreach ($this->columns as $column) {
            $cell = trim($cells[$column->index] ?? '');
            if ($cell === '') {
                continue;
            }
            $figure = self::number($cell, $this->decimal);
            if ($figure === null) {
                throw BadDocument::at(
                    '/line/'.$number,
                    sprintf(
                        'line %d, column %d (%s): “%s” is not a figure.', $number, $column->index + 1, $column->channel->label(),
                        mb_strimwidth($cell, 0, 30, '…'),
                    ),
                );
            }
            $kept = $column->toKept($figure);
            if (abs($kept) > self::MOST) { // infinite among them
                throw BadDocument::at(
                    '/line/'.$number,
                    sprintf(
                        'line %d, column %d (%s): “%s” is beyond anything that is measured.', $number, $column->index + 1,
                        $column->channel->label(), mb_strimwidth($cell, 0, 30, '…'),
                    ),
                );
            }
            $values[$column->channel->value] = $kept;
        }

        return $values;
    }

    private static function number(string $cell, string $decimal): ?float
    {
        $cell = trim($cell, " \t\"\r");
        if ($decimal === ',') {
            $cell = str_contains($cell, '.') ? '' : str_replace(',', '.', $cell);
        }

        return is_numeric($cell) ? (float) $cell : null;
    }

    /** @return list<string> */
    private static function split(string $line, string $delimiter): array
    {
        return array_map(static fn (?string $cell): string => trim((string) $cell), str_getcsv($line, $delimiter, '"', ''));
    }

    private static function withoutMark(string $text): string
    {
        return str_starts_with($text, "\xEF\xBB\xBF") ? substr($text, 3) : $text;
    }

    /** @param list<string> $cells */
    private static function looksLikeUnits(array $cells): bool
    {
        $known = [];
        foreach (Channel::cases() as $channel) {
            $known = [...$known, ...array_diff(array_keys($channel->units()), [''])];
        }
        $units = array_filter($cells, static fn (string $cell): bool => in_array(mb_strtolower(trim($cell, '[]() ')), $known, true));

        return count($units) >= 2 || (count($units) === 1 && count($cells) <= 2);
    }

    /**
     * @param list<string> $headers
     * @param list<string> $units
     *
     * @return array{list<ColumnOfLog>, list<string>}
     */
    private static function columns(array $headers, array $units): array
    {
        $taken = $columns = $doubts = [];
        foreach (Channel::cases() as $channel) {
            foreach ($channel->headers() as $wanted) {
                foreach ($headers as $index => $header) {
                    if (isset($taken[$index]) || !self::holds($header, $wanted)) {
                        continue;
                    }
                    $taken[$index] = true;
                    $unit = self::unit($header, $units[$index] ?? '', $channel);
                    if ($unit === null) {
                        $doubts[] = sprintf(
                            'The column “%s” looks like %s, but names no unit that is known for it: choose one of %s.', $header,
                            $channel->label(), implode(', ', array_diff(array_keys($channel->units()), [''])),
                        );
                    } else {
                        $columns[] = new ColumnOfLog($index, $channel, $unit);
                    }
                    continue 3;
                }
            }
            if ($channel === Channel::Time || $channel === Channel::Speed) {
                $doubts[] = sprintf('No column could be recognised as %s: choose it.', $channel->label());
            }
        }

        return [$columns, $doubts];
    }

    /** @param list<string> $wanted beginnings of words that must all occur */
    private static function holds(string $header, array $wanted): bool
    {
        preg_match_all('/\p{L}+/u', mb_strtolower((string) preg_replace('/[\[(].*[\])]/u', '', $header)), $found);
        $words = $found[0];
        foreach ($wanted as $want) {
            $found = array_filter(
                $words,
                static fn (string $word): bool => strlen($want) === 1 && count($wanted) === 1 ? $word === $want : str_starts_with(
                    $word, $want,
                ),
            );
            if ($found === []) {
                return false;
            }
        }

        return true;
    }

    private static function unit(string $header, string $unitCell, Channel $channel): ?string
    {
        $candidates = [trim($unitCell, '[]() ')];
        if (preg_match('/[\[(]([^\])]*)[\])]/u', $header, $match) === 1) {
            $candidates[] = $match[1];
        }
        foreach (explode(' ', str_replace('_', ' ', $header)) as $word) {
            $candidates[] = $word;
        }
        foreach ($candidates as $candidate) {
            $unit = mb_strtolower(trim($candidate));
            if ($unit !== '' && isset($channel->units()[$unit])) {
                return $unit;
            }
        }

        return null;
    }
}
