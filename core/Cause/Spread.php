<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** How often what reaches so far marks an engine so, as shares of one. [own] */
final class Spread
{
    /** Columns in the order of SpreadClass::cases(). */
    private const TABLE = [
        'station' => [0.92, 0.03, 0.02, 0.01, 0.01, 0.01],
        'cylinder' => [0.25, 0.65, 0.06, 0.01, 0.02, 0.01],
        'several' => [0.08, 0.12, 0.60, 0.06, 0.04, 0.10],
        'kind' => [0.05, 0.02, 0.20, 0.65, 0.02, 0.06],
        'bank' => [0.05, 0.03, 0.20, 0.02, 0.62, 0.08],
        'all' => [0.04, 0.02, 0.22, 0.10, 0.02, 0.60],
        'some' => [0.55, 0.08, 0.25, 0.06, 0.02, 0.04],
        'leak' => [0.50, 0.07, 0.20, 0.07, 0.04, 0.12],
    ];
    /** Shares of one, few and most of the region marked, where the row's own class means all of it. */
    private const WITHIN = ['cylinder' => [0.25, 0.06, 0.69], 'several' => [0.08, 0.12, 0.80]];

    public static function share(SpreadRow $row, SpreadClass $class): float
    {
        return self::TABLE[$row->value][(int) array_search($class, SpreadClass::cases(), true)];
    }

    /** The class that is likeliest of what reaches so far. */
    public static function usual(SpreadRow $row): SpreadClass
    {
        $shares = self::TABLE[$row->value];

        return SpreadClass::cases()[(int) array_search(max($shares), $shares, true)];
    }

    /** @return array{float, float, float} that one, a few, or most stations of a region are marked */
    public static function within(SpreadRow $row): array
    {
        [$one, $cylinder, $few, $kind, $bank, $most] = self::TABLE[$row->value];

        return self::WITHIN[$row->value] ?? [$one, $few + $cylinder, $kind + $bank + $most];
    }
}
