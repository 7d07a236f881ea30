<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Change;
use MuteTapper\Core\Sheet\Missing;
use MuteTapper\Core\Verdict\Margin;

/**
 * More spring, or less: for the valves of a kind, what is risked with too little load beside what is risked with too much, each at
 * the station where it is worst. Practitioners disagree whether surplus spring does harm; here both sides stand next to each other.
 */
final readonly class MoreOrLess
{
    /** Per cent of more load, at all heights alike. */
    public const STEPS = [-20, -10, 0, 10, 20];
    /** Judged values by which too little spring shows, and those by which too much does. */
    public const TOO_LITTLE = ['bound_over_speed', 'seat_load_left'];
    public const TOO_MUCH = ['sliding_nose_stress', 'rolling_nose_stress'];
    private const SEAT = 'valve_seat_load';
    private const OPEN = 'valve_open_load';

    /**
     * @param int $percent of load more than now
     * @param list<Margin> $worst of each judged value that is known
     */
    private function __construct(
        public ValveKind $kind,
        public int $percent,
        public Uncertain $seatLoad,
        public Uncertain $openLoad,
        public array $worst,
    ) {
    }

    /** @return list<self> by kind, least load first; none of a kind whose loads are not known */
    public static function on(Bench $bench): array
    {
        $rows = [];
        foreach (ValveKind::cases() as $kind) {
            $loads = self::loads($bench, $kind);
            if ($loads !== []) {
                foreach (self::STEPS as $percent) {
                    $rows[] = self::at($percent, $kind, $bench, $loads);
                }
            }
        }

        return $rows;
    }

    /** @return list<string> what is to be measured before anything of it can be told */
    public static function missing(Bench $bench): array
    {
        $all = [];
        foreach ($bench->case->engine->stations as $station) {
            $missing = [];
            foreach ([...self::TOO_LITTLE, ...self::TOO_MUCH] as $name) {
                $value = $bench->marginsOf($name) === [] ? null : $bench->value($station->code(), $name);
                $missing = [...$missing, ...($value instanceof Missing ? $value->what : [])];
            }
            $all[] = array_values(array_unique($missing));
        }
        usort($all, static fn (array $one, array $other): int => count($one) <=> count($other));

        return $all[0];
    }

    /** @param non-empty-array<string, array{Uncertain, Uncertain}> $loads */
    private static function at(int $percent, ValveKind $kind, Bench $bench, array $loads): self
    {
        $change = Change::none();
        $factor = 1 + $percent / 100;
        $by = static fn (Uncertain $load): Quantity => Quantity::difference($load->base * ($factor - 1), $load->dimension);
        foreach ($loads as $place => [$seat, $open]) {
            $change = $change->adding([$place], self::SEAT, $by($seat))->adding([$place], self::OPEN, $by($open));
        }
        $changed = $percent === 0 ? $bench : $bench->with($change);
        $worst = [];
        foreach ([...self::TOO_LITTLE, ...self::TOO_MUCH] as $name) {
            $margin = self::worst(array_filter(
                $changed->marginsOf($name), static fn (Margin $margin): bool => isset($loads[$margin->place]) && $margin->value() !== null,
            ));
            if ($margin !== null) {
                $worst[] = $margin;
            }
        }
        $seat = Uncertain::median(array_map(static fn (array $one): Uncertain => $one[0], array_values($loads)));
        $open = Uncertain::median(array_map(static fn (array $one): Uncertain => $one[1], array_values($loads)));

        return new self($kind, $percent, $seat->scaled($factor), $open->scaled($factor), $worst);
    }

    /** @param array<Margin> $margins */
    private static function worst(array $margins): ?Margin
    {
        $room = static fn (Margin $margin): float => $margin->limit->distanceInside((float) $margin->value()?->base);
        usort($margins, static fn (Margin $one, Margin $other): int => $room($one) <=> $room($other));

        return $margins[0] ?? null;
    }

    /** @return array<string, array{Uncertain, Uncertain}> loads on the seat and at full lift, by station */
    private static function loads(Bench $bench, ValveKind $kind): array
    {
        $loads = [];
        foreach (array_filter($bench->case->engine->stations, static fn (Station $station): bool => $station->kind === $kind) as $station) {
            $seat = $bench->value($station->code(), self::SEAT);
            $open = $bench->value($station->code(), self::OPEN);
            if ($seat instanceof Given && $open instanceof Given) {
                $loads[$station->code()] = [$seat->value, $open->value];
            }
        }

        return $loads;
    }
}
