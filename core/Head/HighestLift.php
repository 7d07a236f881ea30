<?php

declare(strict_types=1);

namespace MuteTapper\Core\Head;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Verdict\Margin;

/** The highest lift that a head takes as it stands, and which limit ends it: at each valve the least of what its limits leave. */
final class HighestLift
{
    /** Judged values of which the lift takes its share, inch for inch. */
    private const ENDED_BY = ['travel_to_bind', 'retainer_to_seal', 'retainer_to_guide'];

    /** @return list<string> for each kind of valve the lift at the valve that takes least, in words */
    public static function remarks(Bench $bench): array
    {
        $units = $bench->case->settings->units;
        $said = [];
        foreach (ValveKind::cases() as $kind) {
            $least = self::of($kind, $bench);
            if ($least !== null) {
                [$lift, $margin] = $least;
                $said[] = sprintf(
                    '%s %s (%s, %s)', $kind->word().'s', $units->show(Quantity::base($lift, Dimension::Length)),
                    $bench->case->engine->placeLabel($margin->place) ?? $margin->place, $margin->limit->title,
                );
            }
        }

        return $said === [] ? [] : [sprintf('Highest lift within every limit that was measured: %s.', implode(', ', $said))];
    }

    /** @return array{float, Margin}|null lift in metres, and the margin that ends it */
    private static function of(ValveKind $kind, Bench $bench): ?array
    {
        $least = null;
        foreach (self::ENDED_BY as $name) {
            foreach ($bench->marginsOf($name) as $margin) {
                $left = $margin->value();
                $lift = $bench->value($margin->place, 'net_lift');
                if ($left === null || !$lift instanceof Given || $bench->case->engine->station($margin->place)?->kind !== $kind) {
                    continue;
                }
                $highest = $lift->value->base + $margin->limit->distanceInside($left->base);
                if ($least === null || $highest < $least[0]) {
                    $least = [$highest, $margin];
                }
            }
        }

        return $least;
    }
}
