<?php

declare(strict_types=1);

namespace MuteTapper\Core\Seat;

use MuteTapper\Core\Calculation\LinearForm;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\From;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;

/** Valve seats: width and place of the contact, run-out to the guide, how far the stem stands up. */
final class SeatSheet
{
    public static function declare(): Sheet
    {
        return new Sheet(
            code: 'seats',
            title: 'Seats',
            step: Step::Bench,
            what: 'seats',
            columns: [
                Column::length('seat_width', Part::Seat, 0.0, 0.25)->usually(0.052),
                Column::length('contact_outside', Part::Seat, 0.6, 2.8, 'outside diameter of the contact')->headed('contact outside')
                    ->usually(1.57),
                Column::length('insert_outside', Part::Seat, 0.6, 3.2, 'outside diameter of the insert')->headed('insert outside')
                    ->usually(1.7),
                Column::of('seat_angle', Part::Seat, 15, 65, Unit::Degree)->by('protractor')->usually(45.5, Unit::Degree)
                    ->noEvidence('It tells how the band was cut; where it touches is what is judged.'),
                Column::length('seat_run_out', Part::Seat, 0.0, 0.05, 'run-out to the guide')->headed('run-out')->by('dial_indicator')
                    ->shownIn(Fineness::Fine)->usually(0.001),
                Column::length('throat', Part::Seat, 0.5, 2.6)
                    ->recordOnly('Kept for whoever flows the head; a throat is no cause of a failure here.')->usually(1.43),
                Column::length('stem_protrusion', Part::Valve, 0.5, 4.0, 'stem above the spring seat')->headed('stem stands')
                    ->comparedWithSet()->usually(1.85),
            ],
            values: [
                self::rim('rim_of_insert', 'insert beyond the contact', From::value('insert_outside'), 'outside diameter of the insert'),
                self::rim('face_beyond_contact', 'face beyond the contact', From::value('head_diameter', 'along'), 'diameter of the head'),
                Value::named('interference_angle', 'seat angle over face angle', Dimension::CrankAngle, Site::Station)
                    ->headed('seat − face')->by(Way::derived(self::angles(), [
                        'seat' => From::value('seat_angle'), 'face' => From::value('face_angle'),
                    ])),
            ],
            judged: [
                Judged::of('seat_width', 'seat width'),
                Judged::of('rim_of_insert', 'insert beyond contact'),
                Judged::of('face_beyond_contact', 'face beyond contact'),
                Judged::of('seat_run_out', 'run-out'),
            ],
            wants: ['seat_width' => 1, 'contact_outside' => 1, 'seat_run_out' => 1, 'stem_protrusion' => 1],
        );
    }

    /** What is left outside the contact, diametral. */
    private static function rim(string $name, string $title, From $outer, string $meaning): Value
    {
        return Value::named($name, $title, Dimension::Length)->by(Way::derived(
            LinearForm::of(
                str_replace('_', '-', $name), ucfirst($title), Dimension::Length, $meaning.' − outside of the contact',
                Source::practice('the contact lies wholly on insert and face'),
            )->plus('outer', $meaning)->minus('contact', 'outside diameter of the contact'),
            ['outer' => $outer, 'contact' => From::value('contact_outside')],
        ));
    }

    private static function angles(): LinearForm
    {
        return LinearForm::of(
            'interference-angle', 'Interference angle of seat and face', Dimension::CrankAngle, 'seat angle − face angle',
            Source::practice('many cut the face half a degree to one degree flatter; a hard contact closes it'),
        )->plus('seat', 'angle of the seat')->minus('face', 'angle of the valve’s face');
    }
}
