<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\UnitSystem;

/**
 * Whether the values of a set are of one population. Where they fall into two groups, the middle value belongs to the larger
 * one, which need not be the sound one: most springs of a set can be the bad ones. [own].
 */
final class Populations
{
    /** A gap narrower than this share of the middle value is the scatter of production. */
    private const GAP = 0.05;
    /** A smaller group than this share is a few odd ones among sound ones, and so is one alone. */
    private const SMALLEST = 0.25;

    /**
     * @param list<Given> $set
     *
     * @return string|null the two groups in words; null for one population
     */
    public static function doubt(array $set, UnitSystem $units): ?string
    {
        usort($set, static fn (Given $a, Given $b): int => $a->value->base <=> $b->value->base);
        $count = count($set);
        $widest = 0.0;
        $split = 0;
        for ($i = 1; $i < $count; ++$i) {
            $gap = $set[$i]->value->minus($set[$i - 1]->value);
            if ($gap->base > 2 * $gap->standard() && $gap->base > $widest) {
                $widest = $gap->base;
                $split = $i;
            }
        }
        $middle = abs($set[intdiv($count, 2)]->value->base ?? 0.0);
        $smaller = min($split, $count - $split);
        if ($widest <= self::GAP * $middle || $smaller < 2 || $smaller < self::SMALLEST * $count) {
            return null;
        }
        $range = static fn (Given $from, Given $to): string => sprintf(
            '%s to %s', $units->figure($from->value->quantity()), $units->show(Quantity::base($to->value->base, $to->value->dimension)),
        );

        return sprintf(
            'The set falls into two groups, %d at %s and %d at %s: cannot tell which of them is sound.',
            $split, $range($set[0], $set[$split - 1]), $count - $split, $range($set[$split], $set[$count - 1]),
        );
    }
}
