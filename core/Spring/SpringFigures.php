<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\FigureAt;

/** By what springs are held against each other, on the engine and off it: rates, and what a tester swept of them at equal heights. */
final class SpringFigures
{
    /** @return list<FigureAt> */
    public static function of(Bench $bench): array
    {
        $swept = array_map(static fn (Coil $coil): array => self::swept($bench, $coil), Coil::SINGLE);

        return [...self::rates($bench), ...array_merge(...$swept)];
    }

    /** @return list<FigureAt> where two loads were read */
    private static function rates(Bench $bench): array
    {
        $value = $bench->sheets->value('rate');
        $rates = [];
        foreach ([...$bench->case->engine->sites(Site::Station), ...$bench->loosePlaces()] as $place) {
            foreach ($bench->partsAt($place, $value) as $parts) {
                $index = $value->index->join($parts);
                $rate = $bench->value($place, $value->name, $index);
                if ($rate instanceof Given && $rate->basis->isMeasured()) {
                    $rates[] = new FigureAt($place, $value->name, $index ?? '', $value->title, $value->fineness, $rate->value);
                }
            }
        }

        return $rates;
    }

    /** @return list<FigureAt> */
    private static function swept(Bench $bench, Coil $coil): array
    {
        $swept = SweptSprings::on($bench, $coil->value, null);
        if ($swept === null) {
            return [];
        }
        $units = $bench->case->settings->units;
        [$installed, $open] = [$units->show($swept->installed->quantity()), $units->show($swept->open->quantity())];
        $figures = [];
        foreach ($swept->springs as $spring) {
            foreach ([
                ['load_seat', sprintf('load at %s, swept', $installed), $spring->seatLoad],
                ['load_open', sprintf('load at %s, swept', $open), $spring->openLoad],
                ['rate', sprintf('rate from %s to %s, swept', $installed, $open), $spring->rate],
                ['bind_height', 'height at which it goes solid, swept', $spring->bindHeight],
            ] as [$like, $title, $told]) {
                if ($told !== null) {
                    $fineness = $bench->sheets->value($like)->fineness;
                    // Those of two benches are alike at equal heights only, which the title tells.
                    $figures[] = new FigureAt($spring->place, $like.'_swept', $coil->value, $title, $fineness, $told, $title);
                }
            }
        }

        return $figures;
    }
}
