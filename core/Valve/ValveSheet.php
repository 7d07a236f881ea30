<?php

declare(strict_types=1);

namespace MuteTapper\Core\Valve;

use MuteTapper\Core\Calculation\OfSet;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\DriveKind;
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
use MuteTapper\Core\Sheet\Slider;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;

/** The valves themselves: length, head, margin, groove, run-out, mass. Their stems stand with the guides. */
final class ValveSheet
{
    /** What such parts usually weigh in grams, and the half-width of that, by kind of drive: guesses from memory. [own] */
    private const USUAL_MASS = [
        DriveKind::Pushrod->value => [105.0, 25.0], DriveKind::Bucket->value => [45.0, 13.0], DriveKind::Finger->value => [38.0, 12.0],
    ];

    public static function declare(): Sheet
    {
        return new Sheet(
            code: 'valves',
            title: 'Valves',
            step: Step::Bench,
            what: 'valves',
            columns: [
                Column::length('valve_length', Part::Valve, 2.0, 9.0, 'overall length')->claimable()->comparedWithSet()->usually(5.02),
                Column::length('head_diameter', Part::Valve, 0.7, 2.8)
                    ->headed('head dia.')->at(Axis::Direction)->claimable()->usually(1.6),
                Column::length('valve_margin', Part::Valve, 0.0, 0.25, 'margin')->usually(0.062),
                Column::of('face_angle', Part::Valve, 15, 65, Unit::Degree)->by('protractor')->usually(45, Unit::Degree)
                    ->noEvidence('It tells how the face was cut; where it touches is what is judged.'),
                Column::length('stem_run_out', Part::Valve, 0.0, 0.1, 'run-out of the stem')
                    ->headed('run-out')->by('dial_indicator')->shownIn(Fineness::Fine)->usually(0.0008),
                Column::length('tip_length', Part::Valve, 0.02, 0.6, 'tip above the groove')->headed('tip')->comparedWithSet()
                    ->usually(0.25),
                Column::of('groove_count', Part::Valve, 1, 5, Unit::One, 'grooves')->by('counted')
                    ->shownIn(Fineness::Counted)->comparedWithSet()->usually(1, Unit::One),
                Column::length('groove_width', Part::Valve, 0.02, 0.3)->comparedWithSet()->usually(0.085),
                Column::length('tip_above_retainer', Part::Valve, -0.1, 0.6)->headed('tip over retainer')->usually(0.12),
                Column::of('valve_mass', Part::Valve, 8, 300, Unit::Gram, 'mass of the valve')
                    ->headed('mass')->by('scale')->comparedWithSet()->usually(98, Unit::Gram)
                    ->triedOn(Slider::around(40, 40, 0.5, Unit::Gram))
                    ->orElse(...Way::typical(self::USUAL_MASS, Unit::Gram)),
            ],
            values: [
                Value::named('head_ovality', 'ovality of the head', Dimension::Length, Site::Station)
                    ->headed('ovality')->by(Way::derived(self::ovality(), ['diameters' => From::every('head_diameter', 2)])),
            ],
            judged: [
                Judged::of('valve_margin', 'margin'),
                Judged::of('stem_run_out', 'run-out'),
                Judged::of('head_ovality', 'ovality'),
                Judged::of('tip_above_retainer', 'tip over retainer'),
            ],
            wants: ['valve_length' => 1, 'valve_margin' => 1, 'stem_run_out' => 1],
            questions: ['valve_material', 'valve_treatment', 'valve_mark'],
        );
    }

    private static function ovality(): OfSet
    {
        $source = Source::practice('a head that is not round was bent or ground off centre');

        return OfSet::spread(
            'head-ovality', 'Ovality of a valve head', 'diameters', 'head diameters in two directions', Dimension::Length, $source,
        );
    }
}
