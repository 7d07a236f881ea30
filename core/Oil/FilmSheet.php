<?php

declare(strict_types=1);

namespace MuteTapper\Core\Oil;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\DriveKind;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\FollowerFace;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\From;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;

/** The oil between a nose and the face that slides on it: whether its film keeps their roughness apart. */
final class FilmSheet
{
    /** Below about this ratio surfaces touch. [pub: Hamrock, Fundamentals of Fluid Film Lubrication; from memory] */
    private const BOUNDARY = 1.0;

    public static function declare(): Sheet
    {
        $rough = static fn (string $code, Part $part, string $label, string $short): Column => Column::of(
            $code, $part, 0.01, 6, Unit::Micrometre, $label,
        )->headed($short)->by('roughness_tester');

        return new Sheet(
            code: 'films',
            title: 'Oil film at the nose',
            step: Step::Bench,
            what: 'films',
            columns: [
                $rough('lobe_roughness', Part::Lobe, 'roughness of the lobe, Ra', 'lobe Ra')->usually(0.3, Unit::Micrometre),
                $rough('face_roughness', Part::Follower, 'roughness of the face, Ra', 'face Ra')->usually(0.15, Unit::Micrometre),
            ],
            values: self::values(),
            judged: [
                Judged::of('film_ratio', 'film ÷ rough')->restsOn('film'),
                Judged::of('phosphorus_for_sliding', 'phosphorus')->ofFact()->apart(),
            ],
            remarks: [self::regime(...), self::chemistry(...)],
            wants: ['lobe_roughness' => 1, 'face_roughness' => 1],
            on: static fn (Engine $engine): bool => $engine->face !== FollowerFace::Roller && $engine->drive !== DriveKind::Finger,
        );
    }

    /** @return list<Value> */
    private static function values(): array
    {
        $of = static fn (string $name, string $title, Dimension $dimension): Value => Value::named($name, $title, $dimension, Site::Engine);
        $root = static fn (string $name, string $title, string $from): Value => Value::named($name, $title, Dimension::Film)->by(
            Way::derived(OilCalculations::meanSquareRoughness(), ['average' => From::value($from)]),
        );

        return [
            $of('hot_viscosity', 'viscosity of the oil when hot', Dimension::Viscosity)->by(
                Way::derived(OilCalculations::viscosity(), [
                    'viscosity_40' => From::value('oil_viscosity_40'), 'viscosity_100' => From::value('oil_viscosity_100'),
                    'temperature' => From::value('oil_temperature'),
                ]),
            ),
            // From memory, as are their half-widths: mineral oil when hot.
            $of('oil_density', 'density of the oil when hot', Dimension::Density)
                ->by(Way::usual(0.82, Unit::GramPerCubicCentimetre, 'mineral oil when hot', 0.03)),
            $of('pressure_viscosity', 'rise of the viscosity under pressure', Dimension::PressureViscosity)
                ->by(Way::usual(18, Unit::PerGigapascal, 'mineral oil under pressure', 4)),
            $of('hot_dynamic_viscosity', 'dynamic viscosity of the oil when hot', Dimension::DynamicViscosity)->by(
                Way::derived(OilCalculations::dynamicViscosity(), [
                    'viscosity' => From::value('hot_viscosity'), 'density' => From::value('oil_density'),
                ]),
            ),
            $of('phosphorus_for_sliding', 'phosphorus for sliding followers', Dimension::MassFraction)
                ->by(Way::same(From::value('oil_phosphorus'))),
            $root('lobe_rq', 'Rq of the lobe', 'lobe_roughness'),
            $root('face_rq', 'Rq of the face', 'face_roughness'),
            Value::named('nose_film', 'least film at the nose', Dimension::Film)->headed('film')->by(
                Way::derived(OilCalculations::leastFilm(), [
                    'force' => From::value('nose_force'), 'track_width' => From::value('track_width'),
                    'contact_radius' => From::value('contact_radius'), 'nose_radius' => From::value('nose_radius'),
                    'nose_height' => From::value('nose_height'), 'engine_speed' => From::value('slow_speed'),
                    'dynamic_viscosity' => From::value('hot_dynamic_viscosity'), 'pressure_viscosity' => From::value('pressure_viscosity'),
                    'contact_modulus' => From::value('contact_modulus'),
                ]),
            ),
            Value::named('film_ratio', 'film against roughness', Dimension::Ratio)->headed('film ÷ rough')->by(
                Way::derived(OilCalculations::filmRatio(), [
                    'film' => From::value('nose_film'), 'lobe_roughness' => From::value('lobe_rq'),
                    'follower_roughness' => From::value('face_rq'),
                ]),
            ),
        ];
    }

    /** @return list<string> which regime the noses run in: a state of the contact, no fault by itself */
    private static function regime(Bench $bench): array
    {
        $ratios = [];
        foreach ($bench->case->engine->stations as $station) {
            $ratio = $bench->value($station->code(), 'film_ratio');
            if ($ratio instanceof Given) {
                $ratios[] = $ratio->value->base;
            }
        }
        if ($ratios === []) {
            return [];
        }
        $span = sprintf('Film against roughness at the noses, at the slow speed: %.2f to %.2f.', min($ratios), max($ratios));

        return [$span.' '.(min($ratios) < self::BOUNDARY
            ? 'Below about 1 the surfaces touch, and the oil’s chemistry carries the load: see its phosphorus.'
            : 'The film keeps the surfaces apart.')];
    }

    /** @return list<string> whether the oil brings what carries the load where the film does not */
    private static function chemistry(Bench $bench): array
    {
        $margin = $bench->margin(Place::ENGINE, 'phosphorus_for_sliding');
        $found = $margin?->value();
        if ($margin === null || $found === null) {
            return [];
        }
        $units = $bench->case->settings->units;

        return [sprintf(
            'Phosphorus %s, wanted at least %s: %s.', $units->show($found->quantity()), $units->show($margin->limit->value()),
            $margin->verdict->words(),
        )];
    }
}
