<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;

/**
 * Readings far from the others of their kind of valve: a part that is not as the others are, or a gauge that slipped. By the median
 * absolute deviation [pub: Iglewicz and Hoaglin, How to Detect and Handle Outliers; from memory], beyond what chance makes of a set so
 * small. It is no verdict and no evidence: it asks for another reading.
 */
final class FarFromOthers
{
    /**
     * Deviations from which a reading is far, by the least number of readings: of sound sets about two in a hundred are named. The usual
     * 3.5 would name one in seven of sets of eight. [own: by drawing, checked in tests/outside].
     */
    public const BEYOND = [5 => 13.0, 6 => 8.3, 8 => 6.8, 10 => 5.8, 12 => 5.4, 16 => 5.0, 20 => 4.7, 24 => 4.5];
    /** Standard uncertainties of a gauge within which it tells nothing. [own] */
    private const OF_GAUGE = 3.5;
    /** Median absolute deviation of a normal distribution of deviation 1. */
    private const OF_NORMAL = 0.6745;
    /** Among fewer none is told from the others. [own] */
    public const LEAST_SET = 5;

    /** @return list<string> one line a column and index */
    public static function remarks(Bench $bench, Sheet $sheet): array
    {
        $columns = [...$sheet->columns, ...array_map(static fn (string $code): Column => $bench->sheets->columns[$code], $sheet->also)];
        $said = [];
        foreach ($columns as $column) {
            foreach (self::sets($bench, $column) as $set) {
                $said = [...$said, ...self::ofSet($bench, $column, $set)];
            }
        }

        return $said;
    }

    /** @return array<string, array<string, Uncertain>> readings by label of the station, in sets of one kind, index and test height */
    private static function sets(Bench $bench, Column $column): array
    {
        $sets = [];
        if ($column->site !== Site::Station || $column->index->has(Axis::Date)) {
            return [];
        }
        $readings = $bench->readingsOf($column);
        if (count($readings) < self::LEAST_SET) {
            return [];
        }
        foreach ($bench->case->engine->stations as $station) {
            foreach ($readings[$station->code()] ?? [] as $index => $reading) {
                $height = $reading->height()?->base;
                $sets[$station->kind->value.' '.$index.' '.$height][$station->label()] = $reading->uncertain();
            }
        }

        return $sets;
    }

    /**
     * @param array<string, Uncertain> $set
     *
     * @return list<string>
     */
    private static function ofSet(Bench $bench, Column $column, array $set): array
    {
        if (count($set) < self::LEAST_SET) {
            return [];
        }
        $middle = self::median(array_map(static fn (Uncertain $one): float => $one->base, $set));
        $spread = self::median(array_map(static fn (Uncertain $one): float => abs($one->base - $middle), $set)) / self::OF_NORMAL;
        $beyond = self::beyond(count($set));
        $units = $bench->case->settings->units;
        $far = [];
        foreach ($set as $label => $one) {
            // Readings that agree better than the gauge can tell are not closer than that.
            if (abs($one->base - $middle) > max($beyond * $spread, self::OF_GAUGE * $one->standard())) {
                $far[] = sprintf('%s %s', $label, $units->figure($one->quantity(), 0, $column->fineness));
            }
        }

        return $far === [] ? [] : [sprintf(
            'Far from the others of their kind, whose middle is %s: %s, %s. Read it again, if it is not another part.',
            $units->show(Quantity::base($middle, $column->dimension()), $column->fineness), $column->label, implode(', ', $far),
        )];
    }

    private static function beyond(int $count): float
    {
        $beyond = \INF;
        foreach (self::BEYOND as $least => $deviations) {
            $beyond = $count >= $least ? $deviations : $beyond;
        }

        return $beyond;
    }

    /** @param non-empty-array<float> $values */
    private static function median(array $values): float
    {
        sort($values);
        $half = intdiv(count($values), 2);

        return count($values) % 2 === 1 ? $values[$half] : ($values[$half - 1] + $values[$half]) / 2;
    }
}
