<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** Some of the stations of one engine, by their numbers from 0 in station order. Kept as a string of bits: an engine can have eighty. */
final readonly class StationSet
{
    /** How many bits half a byte has. */
    private const ONES = [0, 1, 1, 2, 1, 2, 2, 3, 1, 2, 2, 3, 2, 3, 3, 4];

    /**
     * @param int $size how many stations the engine has
     * @param string $nothing bits of none of them
     */
    private function __construct(private string $bits, public int $count, public int $size, private string $nothing)
    {
    }

    /** @param int $of how many stations the engine has */
    public static function none(int $of): self
    {
        return self::union($of, []);
    }

    /** @param list<int> $numbers */
    public static function of(int $of, array $numbers): self
    {
        $bits = $nothing = str_repeat("\0", intdiv($of + 7, 8));
        foreach ($numbers as $number) {
            $bits[$number >> 3] = chr(ord($bits[$number >> 3]) | 1 << ($number & 7));
        }

        return new self($bits, self::ones($bits), $of, $nothing);
    }

    /**
     * @param int $of how many stations the engine has
     * @param list<self> $sets
     */
    public static function union(int $of, array $sets): self
    {
        $bits = $nothing = str_repeat("\0", intdiv($of + 7, 8));
        foreach ($sets as $set) {
            $bits |= $set->bits;
        }

        return new self($bits, self::ones($bits), $of, $nothing);
    }

    public function or(self $other): self
    {
        return $this->orOther($this->bits | $other->bits, $other);
    }

    public function and(self $other): self
    {
        return $this->orOther($this->bits & $other->bits, $other);
    }

    public function without(self $other): self
    {
        return $this->orOther($this->bits & ~$other->bits, $other);
    }

    /** How many are in both. */
    public function common(self $other): int
    {
        return self::ones($this->bits & $other->bits);
    }

    public function touches(self $other): bool
    {
        return ($this->bits & $other->bits) !== $this->nothing;
    }

    public function holds(self $other): bool
    {
        return ($this->bits & $other->bits) === $other->bits;
    }

    public function isEmpty(): bool
    {
        return $this->count === 0;
    }

    public function equals(self $other): bool
    {
        return $this->bits === $other->bits;
    }

    /** @return list<int> ascending */
    public function numbers(): array
    {
        $numbers = [];
        foreach (str_split($this->bits) as $byte => $eight) {
            for ($bit = 0, $value = ord($eight); $value >> $bit !== 0; ++$bit) {
                if (($value >> $bit & 1) === 1) {
                    $numbers[] = 8 * $byte + $bit;
                }
            }
        }

        return $numbers;
    }

    /** The same for equal sets, and for no others of the engine. */
    public function key(): string
    {
        return $this->bits;
    }

    /** The set of these bits: often it is one of the two that it was made of. */
    private function orOther(string $bits, self $other): self
    {
        return match ($bits) {
            $this->bits => $this,
            $other->bits => $other,
            default => new self($bits, self::ones($bits), $this->size, $this->nothing),
        };
    }

    private static function ones(string $bits): int
    {
        /** @var array<string, int> $known the same few sets are met again and again */
        static $known = [];
        if (isset($known[$bits])) {
            return $known[$bits];
        }
        $count = 0;
        for ($byte = strlen($bits) - 1; $byte >= 0; --$byte) {
            $value = ord($bits[$byte]);
            $count += self::ONES[$value & 15] + self::ONES[$value >> 4];
        }

        return $known[$bits] = $count;
    }
}
