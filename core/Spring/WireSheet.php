<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\LinearForm;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Axis;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\From;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;

/** The wire of the springs: how square they stand, and the rate, stress and surge that follow from wire and coils. */
final class WireSheet
{
    /** Coils that lie on their neighbours where both ends are closed and ground. [practice] */
    private const DEAD_COILS = 2;
    /** Shear modulus of valve spring steel, in MPa, and its half-width [pub: EN 10270-2, about 79 500; from memory]. */
    private const SHEAR_MODULUS = 79000;
    private const SHEAR_MODULUS_HALF_WIDTH = 1500;

    public static function declare(): Sheet
    {
        return new Sheet(
            code: 'wire',
            title: 'Wire and squareness',
            step: Step::Bench,
            what: 'wires',
            columns: [
                Column::length('squareness_gap', Part::Spring, 0.0, 0.5, 'gap at the top, standing')->headed('out of square')
                    ->at(Axis::Coil)->by('feeler')->usually(0.03),
                Column::length('wire_diameter', Part::Spring, 0.04, 0.45)->headed('wire')->at(Axis::Coil)
                    ->by('outside_micrometer')->shownIn(Fineness::Fine)->usually(0.21),
                Column::of('coil_count', Part::Spring, 2, 16, Unit::One, 'coils, all')->headed('coils')->at(Axis::Coil)->by('counted')
                    ->usually(6, Unit::One),
            ],
            values: self::values(),
            judged: [
                Judged::of('squareness_gap', 'out of square')->limitedBy('squareness_allowance'),
            ],
            faces: Axis::Coil,
            faceKeys: Coil::PAGES,
            wants: ['squareness_gap' => 1, 'wire_diameter' => 1, 'coil_count' => 1],
        );
    }

    /** @return list<Value> */
    private static function values(): array
    {
        $mean = LinearForm::of(
            'mean-diameter', 'Mean diameter of a coil', Dimension::Length, 'outside diameter − wire',
            Source::published('any text on springs'),
        )->plus('outside', 'outside diameter')->minus('wire', 'wire diameter');
        $active = LinearForm::of(
            'active-coils', 'Active coils', Dimension::Ratio, 'all coils − closed end coils', Source::practice('ends closed and ground'),
        )->plus('coils', 'all coils')->minus('dead', 'coils that lie on their neighbours at both ends');
        $of = static fn (string $name, string $title, Dimension $dimension): Value => Value::named(
            $name, $title, $dimension, Site::Station, Axis::Coil,
        );
        $geometry = ['wire_diameter' => From::value('wire_diameter'), 'mean_diameter' => From::value('mean_diameter')];

        return [
            $of('squareness_allowance', 'gap that is allowed at this height', Dimension::Length)->by(
                Way::derived(new SquarenessLimit(), ['free_height' => From::value('free_height')]),
            ),
            $of('mean_diameter', 'mean diameter of the coils', Dimension::Length)->by(
                Way::derived($mean, ['outside' => From::value('outside_diameter'), 'wire' => From::value('wire_diameter')]),
            ),
            Value::named('dead_coils', 'closed end coils', Dimension::Ratio, Site::Engine)->by(
                Way::usual(self::DEAD_COILS, Unit::One, 'both ends closed and ground'),
            ),
            Value::named('shear_modulus', 'shear modulus of the wire', Dimension::Stress, Site::Engine)->by(
                Way::usual(self::SHEAR_MODULUS, Unit::Megapascal, 'valve spring steel', self::SHEAR_MODULUS_HALF_WIDTH),
            ),
            $of('active_coils', 'active coils', Dimension::Ratio)->by(
                Way::derived($active, ['coils' => From::value('coil_count'), 'dead' => From::value('dead_coils')]),
            ),
            $of('coil_pitch', 'pitch of the free spring', Dimension::Length)->by(
                Way::derived(SpringCalculations::pitch(), [
                    'free_height' => From::value('free_height'), 'wire_diameter' => From::value('wire_diameter'),
                    'active_coils' => From::value('active_coils'),
                ]),
            ),
            $of('coil_growth', 'growth of the diameter, pressed together', Dimension::Length)->headed('grows by')->by(
                Way::derived(SpringCalculations::growth(), $geometry + ['pitch' => From::value('coil_pitch')]),
            ),
            $of('rate_from_wire', 'rate from its wire', Dimension::Stiffness)->headed('rate from wire')->by(
                Way::derived(new RateFromGeometry(), $geometry + [
                    'shear_modulus' => From::value('shear_modulus'), 'active_coils' => From::value('active_coils'),
                ]),
            ),
            $of('open_stress', 'shear stress at the open load', Dimension::Stress)->headed('stress, open')->by(
                Way::derived(new ShearStress(), $geometry + ['load' => From::value('load_open')]),
            ),
            $of('surge_frequency', 'surge frequency', Dimension::Frequency)->headed('surge')->by(
                Way::derived(new SurgeFrequency(), $geometry + [
                    'shear_modulus' => From::value('shear_modulus'), 'active_coils' => From::value('active_coils'),
                ]),
            ),
        ];
    }
}
