<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Sheet\Axis;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Curve;
use MuteTapper\Core\Sheet\Sheet;

/** Springs off the engine, as many as are to be compared: on the tester at equal heights, held against each other. */
final class LooseSpringSheet
{
    private const LOADS = ['load_seat', 'load_open'];

    public static function declare(): Sheet
    {
        return new Sheet(
            code: 'loose_springs',
            title: 'Springs off the engine',
            step: Step::Bench,
            what: 'loose springs',
            columns: [],
            remarks: [self::compared(...)],
            faces: Axis::Coil,
            faceKeys: Coil::PAGES,
            also: ['free_height', 'load_seat', 'load_open', 'bind_height', 'outside_diameter', 'inside_diameter'],
            isLoose: true,
            shows: ['rate'],
            curves: self::overlaid(...),
            compares: SpringFigures::of(...),
        );
    }

    /** @return list<string> for loads at one height: their middle value, and how far each spring is from it */
    private static function compared(Bench $bench): array
    {
        $sets = [];
        foreach ($bench->loosePlaces() as $place) {
            foreach (self::LOADS as $code) {
                foreach (Coil::SINGLE as $coil) {
                    $reading = $bench->reading($place, $bench->sheets->columns[$code], $coil->value);
                    $height = $reading?->height();
                    if ($reading !== null && $height !== null) {
                        $set = $coil->value.' '.$height->base;
                        $sets[$set]['words'] = sprintf(
                            '%s at %s', ucfirst($coil->words()),
                            $bench->case->settings->units->show($height->quantity()),
                        );
                        $sets[$set]['loads'][(string) Place::asLoose($place)] = $reading->uncertain();
                    }
                }
            }
        }

        return array_values(array_map(
            static fn (array $set): string => self::line($bench, $set['words'], $set['loads']),
            array_filter($sets, static fn (array $set): bool => count($set['loads']) > 1),
        ));
    }

    /** @return list<Curve> load over height of each spring that has two loads, on to where it goes solid by its rate */
    private static function overlaid(Bench $bench): array
    {
        $curves = [];
        foreach ($bench->loosePlaces() as $place) {
            foreach (Coil::PAGES as $coil) {
                $points = [];
                foreach (self::LOADS as $code) {
                    $reading = $bench->reading($place, $bench->sheets->columns[$code], $coil);
                    $height = $reading?->height()?->quantity();
                    if ($reading !== null && $height !== null) {
                        $points[] = [$height, $reading->uncertain()->quantity()];
                    }
                }
                if (count($points) > 1) {
                    $curves[] = new Curve((string) Place::asLoose($place), $coil, $points, self::solid($bench, $place, $coil));
                }
            }
        }

        return $curves;
    }

    /** @return array{Quantity, Quantity}|null height at which it goes solid, and its load there */
    private static function solid(Bench $bench, string $place, string $coil): ?array
    {
        $bind = $bench->value($place, 'bind_height', $coil);
        $rate = $bench->value($place, 'rate', $coil);
        $open = $bench->reading($place, $bench->sheets->columns['load_open'], $coil);
        $height = $open?->height();
        if (!$bind instanceof Given || !$rate instanceof Given || $open === null || $height === null) {
            return null;
        }
        $more = $rate->value->times($height->minus($bind->value), Dimension::Force);

        return [$bind->value->quantity(), $open->uncertain()->plus($more)->quantity()];
    }

    /** @param non-empty-array<string, Uncertain> $loads by tag */
    private static function line(Bench $bench, string $words, array $loads): string
    {
        $middle = Uncertain::median(array_values($loads));
        $each = array_map(static fn (string $tag, Uncertain $load): string => sprintf(
            '%s %s (%+.1f %%)', $tag, $bench->case->settings->units->figure($load->quantity()), 100 * ($load->base / $middle->base - 1),
        ), array_map(strval(...), array_keys($loads)), $loads);

        return sprintf(
            '%s, middle %s: %s.', $words, $bench->case->settings->units->show(Quantity::base($middle->base, $middle->dimension)),
            implode(', ', $each),
        );
    }
}
