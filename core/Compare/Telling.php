<?php

declare(strict_types=1);

namespace MuteTapper\Core\Compare;

use MuteTapper\Core\Quantity\Uncertain;

/** Whether two sets of like figures differ by more than their scatter and their gauges make. */
final class Telling
{
    /** Fewer a side tell nothing of a set. [own] */
    public const LEAST = 3;
    /** Deviations of a difference from which sets differ: so many columns are looked at that less would be chance. [own] */
    private const DEVIATIONS = 4.5;

    /**
     * @param non-empty-list<Uncertain> $one
     * @param non-empty-list<Uncertain> $other
     *
     * @return bool|null null where there are too few to tell
     */
    public static function between(array $one, array $other): ?bool
    {
        $difference = Uncertain::median($other)->minus(Uncertain::median($one));
        if (count($one) === 1 && count($other) === 1) {
            return abs($difference->base) > $difference->expanded()->base;
        }
        if (min(count($one), count($other)) < self::LEAST) {
            return null;
        }
        $scatter = sqrt(self::variance($one) / count($one) + self::variance($other) / count($other) + $difference->standard() ** 2);

        return abs($difference->base) > self::DEVIATIONS * $scatter;
    }

    /** @param non-empty-list<Uncertain> $set */
    private static function variance(array $set): float
    {
        $mean = array_sum(array_map(static fn (Uncertain $one): float => $one->base, $set)) / count($set);

        return array_sum(array_map(static fn (Uncertain $one): float => ($one->base - $mean) ** 2, $set)) / (count($set) - 1);
    }
}
