<?php

declare(strict_types=1);

namespace MuteTapper\Core\Piston;

use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\From;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;

/** Piston reliefs: how deep and how wide, what the valve has before it, what metal is left above the ring groove. */
final class PistonSheet
{
    /** What an all-out race engine stretches and grows, in inches. [practice] */
    private const GROWTH = 0.05;
    private const GROWTH_HALF_WIDTH = 0.01;

    public static function declare(): Sheet
    {
        return new Sheet(
            code: 'pistons',
            title: 'Piston reliefs',
            step: Step::Bench,
            what: 'piston reliefs',
            columns: [
                Column::length('relief_depth', Part::PistonRelief, 0.0, 0.8)->usually(0.15),
                Column::length('relief_radius', Part::PistonRelief, 0.3, 2.0)->usually(0.86),
                Column::length('valve_recess', Part::Valve, -0.2, 0.6, 'face of the valve below the head’s face')->headed('recess')
                    ->usually(0.03),
                Column::length('free_drop', Part::Valve, 0.0, 1.5, 'drop from the seat to the piston at top dead centre')
                    ->headed('free drop')->by('dial_indicator')->usually(0.24)->orElse(
                        Way::derived(PistonCalculations::freeDrop(), [
                            'relief_depth' => From::value('relief_depth'), 'valve_recess' => From::value('valve_recess'),
                            'deck_clearance' => From::value('deck_clearance'), 'gasket_thickness' => From::value('gasket_thickness'),
                        ]),
                    )->computedUnder('drop, computed'),
                Column::length('piston_to_valve', Part::PistonRelief, -0.1, 0.6, 'piston to valve, cold, as measured')
                    ->headed('piston to valve')->by('clay')->usually(0.1)->computedUnder('by the cam')
                    ->orElse(Way::same(From::value('clearance_at_phase'))),
                Column::length('metal_to_groove', Part::PistonRelief, 0.0, 1.0, 'metal from relief to ring groove')
                    ->noEvidence('It decides how deep a relief may be cut; a land that broke is found as a sign.')
                    ->headed('metal left')->usually(0.2)->movingWith(['relief_depth' => -1]),
            ],
            values: [
                Value::named('radial_room', 'relief around the valve', Dimension::Length)->by(Way::derived(new RadialRoom(), [
                    'relief_radius' => From::value('relief_radius'), 'head_diameter' => From::value('head_diameter', 'along'),
                ])),
                Value::named('growth', 'growth and rod stretch at speed', Dimension::Length, Site::Engine)
                    ->by(
                        Way::usual(self::GROWTH, Unit::Inch, '0.040 to 0.060 in with an all-out race engine', self::GROWTH_HALF_WIDTH),
                    ),
                Value::named('piston_to_valve_running', 'piston to valve after growth', Dimension::Length)->headed('after growth')->by(
                    Way::derived(PistonCalculations::afterGrowth(), [
                        'cold_clearance' => From::value('piston_to_valve'), 'growth' => From::value('growth'),
                    ]),
                ),
            ],
            judged: [
                Judged::of('piston_to_valve', 'piston to valve')->restsOn('free_drop'),
                Judged::of('radial_room', 'radial')->restsOn('relief_radius'),
                Judged::of('metal_to_groove', 'metal left')->noEvidence(
                    'It decides how deep a relief may be cut; a land that broke is found as a sign.',
                ),
            ],
            wants: ['relief_depth' => 1, 'piston_to_valve' => 1],
        );
    }
}
