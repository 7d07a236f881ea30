<?php

declare(strict_types=1);

namespace MuteTapper\Core\Head;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Verdict\Margin;

/** The highest lift that a valve takes as its head stands, and which limit ends it: what it lifts, and what each limit leaves beyond. */
final readonly class HighestLift
{
    /** Judged values of which the lift takes its share, inch for inch. */
    public const ENDED_BY = ['travel_to_bind', 'retainer_to_seal', 'retainer_to_guide'];

    /**
     * @param Uncertain $lift at which this limit is met: as uncertain as what is left of it is beside the lift itself
     * @param Margin $margin that is left at the lift as it is
     */
    private function __construct(public Uncertain $lift, public Margin $margin)
    {
    }

    /** @return list<self> at one valve, by limit, the lowest first; none where its lift or all that ends it is unknown */
    public static function at(string $place, Bench $bench): array
    {
        $all = [];
        foreach (self::ENDED_BY as $name) {
            foreach ($bench->marginsOf($name) as $margin) {
                $one = $margin->place === $place ? self::by($margin, $bench) : null;
                if ($one !== null) {
                    $all[] = $one;
                }
            }
        }
        usort($all, static fn (self $one, self $other): int => $one->lift->base <=> $other->lift->base);

        return $all;
    }

    /** @return list<string> for each kind of valve the lift at the valve that takes least, in words */
    public static function remarks(Bench $bench): array
    {
        $units = $bench->case->settings->units;
        $said = [];
        foreach (ValveKind::cases() as $kind) {
            $least = self::of($kind, $bench);
            if ($least !== null) {
                $said[] = sprintf(
                    '%s %s (%s, %s)', $kind->word().'s', $units->show($least->lift->quantity()),
                    $bench->case->engine->placeLabel($least->margin->place) ?? $least->margin->place, $least->margin->limit->title,
                );
            }
        }

        return $said === [] ? [] : [sprintf('Highest lift within every limit that was measured: %s.', implode(', ', $said))];
    }

    private static function of(ValveKind $kind, Bench $bench): ?self
    {
        $least = null;
        foreach (self::ENDED_BY as $name) {
            foreach ($bench->marginsOf($name) as $margin) {
                $one = $bench->case->engine->station($margin->place)?->kind === $kind ? self::by($margin, $bench) : null;
                if ($one !== null && ($least === null || $one->lift->base < $least->lift->base)) {
                    $least = $one;
                }
            }
        }

        return $least;
    }

    private static function by(Margin $margin, Bench $bench): ?self
    {
        $left = $margin->value();
        $lift = $bench->value($margin->place, 'net_lift');
        if ($left === null || !$lift instanceof Given) {
            return null;
        }

        $limit = $margin->limit->value();

        return new self($lift->value->plus($left)->shifted(Quantity::difference(-$limit->base, $limit->dimension)), $margin);
    }
}
