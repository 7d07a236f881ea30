<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/**
 * The causes of an explanation, none, one or two, as one integer: their numbers from 1, ten bits each, the lesser first. An
 * integer, because tables are kept by it; not a mask of bits, which would end at 62 causes.
 */
final class AtWork
{
    public const NONE = 0;
    public const MOST = (1 << self::BITS) - 2;
    public const BITS = 10;
    public const LOW = (1 << self::BITS) - 1;

    /** @param int $cause number of the cause from 0 */
    public static function one(int $cause): int
    {
        return $cause + 1;
    }

    public static function two(int $cause, int $other): int
    {
        return $cause < $other ? ($cause + 1) | ($other + 1) << self::BITS : ($other + 1) | ($cause + 1) << self::BITS;
    }

    /** @param list<int> $causes at most two */
    public static function of(array $causes): int
    {
        return match (count($causes)) {
            0 => self::NONE,
            1 => self::one($causes[0]),
            2 => self::two($causes[0], $causes[1]),
            default => throw new \LogicException('More than two causes together are not weighed.'),
        };
    }

    /**
     * Those of them that are among the given ones.
     *
     * @param array<int, true> $among by what `one` makes of each
     */
    public static function among(int $causes, array $among): int
    {
        $first = $causes & self::LOW;
        $second = $causes >> self::BITS;
        if (isset($among[$first])) {
            return $second !== 0 && isset($among[$second]) ? $causes : $first;
        }

        return $second !== 0 && isset($among[$second]) ? $second : self::NONE;
    }

    /** @return list<int> numbers from 0 */
    public static function numbers(int $causes): array
    {
        $numbers = [];
        for (; $causes !== 0; $causes >>= self::BITS) {
            $numbers[] = ($causes & self::LOW) - 1;
        }

        return $numbers;
    }
}
