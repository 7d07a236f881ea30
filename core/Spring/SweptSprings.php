<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Sheet\Bench;

/** The swept springs of an engine and of the bench, at the same two heights, each against one of them. */
final readonly class SweptSprings
{
    /** @param non-empty-list<SweptSpring> $springs */
    private function __construct(public Uncertain $installed, public Uncertain $open, public array $springs, public SweptSpring $against)
    {
    }

    /**
     * @param string|null $against place of the spring that the others are held against; else that of the middle load
     *
     * @return self|null null where none was swept
     */
    public static function on(Bench $bench, string $coil, ?string $against): ?self
    {
        $sweeps = [];
        foreach ($bench->sweptPlaces() as $place) {
            $curve = $bench->sweep($place, $coil);
            if ($curve !== null) {
                $sweeps[$place] = new Sweep($curve->heights(), $curve->loads());
            }
        }
        if ($sweeps === []) {
            return null;
        }
        [$installed, $open] = self::heights($bench, $coil, $sweeps, $against);
        $springs = array_map(
            static fn (string $place, Sweep $sweep): SweptSpring => SweptSpring::of($place, $sweep, $installed, $open),
            array_map(strval(...), array_keys($sweeps)), array_values($sweeps),
        );

        return new self($installed, $open, $springs, self::chosen($springs, $against) ?? self::middle($springs));
    }

    /**
     * Installed and open height of the first of these that stands in the engine, else heights a quarter into the sweep from either end.
     *
     * @param non-empty-array<string, Sweep> $sweeps
     *
     * @return array{Uncertain, Uncertain}
     */
    private static function heights(Bench $bench, string $coil, array $sweeps, ?string $against): array
    {
        foreach ([$against ?? '', ...array_map(strval(...), array_keys($sweeps))] as $place) {
            if ($bench->case->engine->station($place) === null) {
                continue;
            }
            $installed = $bench->value($place, 'spring_height', $coil);
            $open = $bench->value($place, 'height_at_lift', $coil);
            if ($installed instanceof Given && $open instanceof Given) {
                // Compared are springs, not heights: all of them stand at this height as exactly as the tester is set.
                return [Uncertain::exact($installed->value->quantity()), Uncertain::exact($open->value->quantity())];
            }
        }
        $points = reset($sweeps)->points();
        [$from, $to] = [$points[0][0], $points[count($points) - 1][0]];
        $at = static fn (float $share): Uncertain => Uncertain::exact(Quantity::base($from + $share * ($to - $from), Dimension::Length));

        return [$at(0.25), $at(0.75)];
    }

    /** @param list<SweptSpring> $springs */
    private static function chosen(array $springs, ?string $against): ?SweptSpring
    {
        foreach ($springs as $spring) {
            if ($spring->place === $against) {
                return $spring;
            }
        }

        return null;
    }

    /** @param non-empty-list<SweptSpring> $springs */
    private static function middle(array $springs): SweptSpring
    {
        usort($springs, static fn (SweptSpring $one, SweptSpring $other): int => $one->seatLoad?->base <=> $other->seatLoad?->base);

        return $springs[intdiv(count($springs), 2)];
    }
}
