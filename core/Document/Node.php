<?php

declare(strict_types=1);

namespace MuteTapper\Core\Document;

/**
 * A place in a decoded JSON document. Reading through it yields typed values, or a BadDocument that names the place,
 * what stands there and what is accepted.
 */
final readonly class Node
{
    private const FIRST_YEAR = 1900;
    private const LAST_YEAR = 2199;

    private function __construct(private mixed $value, public string $pointer)
    {
    }

    public static function root(mixed $value): self
    {
        return new self($value, '');
    }

    public function has(string $key): bool
    {
        return is_array($this->value) && isset($this->value[$key]);
    }

    /** The member of an object; absent members read as null. */
    public function get(string $key): self
    {
        return new self($this->object()[$key] ?? null, $this->pointer.'/'.$key);
    }

    /** The member, or null where it is absent or null. */
    public function maybe(string $key): ?self
    {
        return $this->has($key) ? $this->get($key) : null;
    }

    public function raw(): mixed
    {
        return $this->value;
    }

    public function text(int $most = 20000): string
    {
        if (!is_string($this->value) || !mb_check_encoding($this->value, 'UTF-8')) {
            throw $this->wrong('a text in UTF-8');
        }
        if (mb_strlen($this->value) > $most) {
            throw BadDocument::at(
                $this->pointer,
                sprintf('the text has %d characters; at most %d are accepted.', mb_strlen($this->value), $most),
            );
        }

        return $this->value;
    }

    /** Text that is not blank. */
    public function word(int $most = 200): string
    {
        $text = trim($this->text($most));
        if ($text === '') {
            throw BadDocument::at($this->pointer, 'it is empty; a text is needed.');
        }

        return $text;
    }

    public function number(): float
    {
        if ((!is_int($this->value) && !is_float($this->value)) || !is_finite((float) $this->value)) {
            throw $this->wrong('a number');
        }

        return (float) $this->value;
    }

    public function whole(int $least, int $most): int
    {
        if (!is_int($this->value) || $this->value < $least || $this->value > $most) {
            throw $this->wrong(sprintf('a whole number from %d to %d', $least, $most));
        }

        return $this->value;
    }

    public function flag(): bool
    {
        if (!is_bool($this->value)) {
            throw $this->wrong('true or false');
        }

        return $this->value;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum
     *
     * @return T
     */
    public function choice(string $enum): \BackedEnum
    {
        /** @var array<class-string, array<int|string, \BackedEnum>> $cases of each enum, by value */
        static $cases = [];
        $known = $cases[$enum] ??= array_column($enum::cases(), null, 'value');
        $value = is_string($this->value) || is_int($this->value) ? $known[$this->value] ?? null : null;
        if (!$value instanceof $enum || $value->value !== $this->value) {
            throw $this->wrong(
                'one of '.implode(', ', array_map(static fn (\BackedEnum $case): string => (string) $case->value, $enum::cases())),
            );
        }

        return $value;
    }

    /** @return list<self> */
    public function items(int $most = \PHP_INT_MAX): array
    {
        if (!is_array($this->value) || !array_is_list($this->value)) {
            throw $this->wrong('a list');
        }
        if (count($this->value) > $most) {
            throw BadDocument::at(
                $this->pointer, sprintf('the list has %d lines; at most %d are accepted.', count($this->value), $most),
            );
        }

        return array_map(fn (int $i): self => new self($this->value[$i], $this->pointer.'/'.$i), array_keys($this->value));
    }

    /** @return array<string, self> */
    public function members(): array
    {
        $members = [];
        foreach (array_keys($this->map()) as $key) {
            $members[$key] = $this->get($key);
        }

        return $members;
    }

    /** A day of the calendar, year-month-day; null where the text is blank. */
    public function day(): ?\DateTimeImmutable
    {
        $text = trim($this->text(40));
        if ($text === '') {
            return null;
        }
        if (
            preg_match('/^(\d{4})-(\d\d)-(\d\d)$/', $text, $part) !== 1
            || !self::isOnCalendar((int) $part[1], (int) $part[2], (int) $part[3])
        ) {
            throw BadDocument::at(
                $this->pointer,
                sprintf(
                    '“%s” is not a date; accepted is year-month-day, such as 2026-03-14, from %d to %d.', $text, self::FIRST_YEAR,
                    self::LAST_YEAR,
                ),
            );
        }

        return new \DateTimeImmutable($text, new \DateTimeZone('UTC'));
    }

    /** A moment in UTC [pub: ISO 8601, from memory]: day and time in figures, to the minute or finer; without an offset it is UTC. */
    public function time(): \DateTimeImmutable
    {
        $text = $this->word(40);
        $pattern = '/^(\d{4})-(\d\d)-(\d\d)T([01]\d|2[0-3]):[0-5]\d(:[0-5]\d(\.\d{1,9})?)?(Z|[+-]([01]\d|2[0-3]):?[0-5]\d)?$/';
        if (preg_match($pattern, $text, $part) !== 1 || !self::isOnCalendar((int) $part[1], (int) $part[2], (int) $part[3])) {
            throw BadDocument::at(
                $this->pointer,
                sprintf(
                    '“%s” is not a time; accepted is ISO 8601, such as 2026-11-25T14:32:05Z, from %d to %d.', $text, self::FIRST_YEAR,
                    self::LAST_YEAR,
                ),
            );
        }

        return (new \DateTimeImmutable($text, new \DateTimeZone('UTC')))->setTimezone(new \DateTimeZone('UTC'));
    }

    /** @return list<string> */
    public function words(int $most = \PHP_INT_MAX): array
    {
        return array_map(static fn (self $item): string => $item->word(), $this->items($most));
    }

    /** @return array<string, mixed> */
    public function map(): array
    {
        $map = [];
        foreach ($this->object() as $key => $value) {
            $map[(string) $key] = $value;
        }

        return $map;
    }

    /** @return array<mixed> */
    private function object(): array
    {
        if (!is_array($this->value) || ($this->value !== [] && array_is_list($this->value))) {
            throw $this->wrong('an object');
        }

        return $this->value;
    }

    private static function isOnCalendar(int $year, int $month, int $day): bool
    {
        return $year >= self::FIRST_YEAR && $year <= self::LAST_YEAR && checkdate($month, $day, $year);
    }

    private function wrong(string $accepted): BadDocument
    {
        $shown = match (true) {
            $this->value === null => 'nothing',
            is_array($this->value) => array_is_list($this->value) ? 'a list' : 'an object',
            default => mb_strimwidth(
                (string) json_encode($this->value, \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PARTIAL_OUTPUT_ON_ERROR), 0,
                60, '…',
            ),
        };

        return BadDocument::at($this->pointer, sprintf('%s stands here; accepted is %s.', $shown, $accepted));
    }
}
