<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;

/**
 * Readings far from the others of their kind of valve: a part that is not as the others are, or a gauge that slipped. By the median
 * absolute deviation, flagged beyond 3.5 [pub: Iglewicz and Hoaglin, How to Detect and Handle Outliers; from memory]. It is no
 * verdict and no evidence: it asks for another reading.
 */
final class FarFromOthers
{
    private const BEYOND = 3.5;
    /** Median absolute deviation of a normal distribution of deviation 1. */
    private const OF_NORMAL = 0.6745;
    /** Among fewer none is told from the others. [own] */
    private const LEAST_SET = 5;

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
        $units = $bench->case->settings->units;
        $far = [];
        foreach ($set as $label => $one) {
            // Readings that agree better than the gauge can tell are not closer than that.
            if (abs($one->base - $middle) > self::BEYOND * max($spread, $one->standard())) {
                $far[] = sprintf('%s %s', $label, $units->figure($one->quantity(), 0, $column->fineness));
            }
        }

        return $far === [] ? [] : [sprintf(
            'Far from the others of their kind, whose middle is %s: %s, %s. Read it again, if it is not another part.',
            $units->show(Quantity::base($middle, $column->dimension()), $column->fineness), $column->label, implode(', ', $far),
        )];
    }

    /** @param non-empty-array<float> $values */
    private static function median(array $values): float
    {
        sort($values);
        $half = intdiv(count($values), 2);

        return count($values) % 2 === 1 ? $values[$half] : ($values[$half - 1] + $values[$half]) / 2;
    }
}
