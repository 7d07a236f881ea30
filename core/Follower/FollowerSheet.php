<?php

declare(strict_types=1);

namespace MuteTapper\Core\Follower;

use MuteTapper\Core\Calculation\Basis;
use MuteTapper\Core\Calculation\LinearForm;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\DriveKind;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\FollowerFace;
use MuteTapper\Core\Engine\LashKind;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\From;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Slider;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;

/** Lifters, buckets or pivots: face, fit in the bore, and what a hydraulic element does. */
final class FollowerSheet
{
    /** What such parts usually weigh in grams, and the half-width of that, by kind of drive: guesses from memory. [own] */
    private const USUAL_MASS = [
        DriveKind::Pushrod->value => [110.0, 35.0], DriveKind::Bucket->value => [55.0, 20.0],
    ];

    public static function declare(): Sheet
    {
        $slides = static fn (Engine $engine): bool => $engine->drive !== DriveKind::Finger;
        $hydraulic = static fn (Engine $engine): bool => $engine->lash === LashKind::Hydraulic;
        $rubs = static fn (Engine $engine): bool => $slides($engine) && $engine->face !== FollowerFace::Roller;

        return new Sheet(
            code: 'followers',
            title: 'Followers',
            step: Step::Bench,
            what: 'followers',
            columns: [
                Column::length('follower_outside', Part::Follower, 0.4, 1.8, 'outside diameter')->headed('outside')->on($slides)
                    ->by('outside_micrometer')->shownIn(Fineness::Fine)->usually(0.8422),
                Column::length('follower_bore', Part::Follower, 0.4, 1.8, 'its bore')->headed('bore')->on($slides)
                    ->by('dial_bore_gauge')->shownIn(Fineness::Fine)->usually(0.8438),
                Column::length('face_crown', Part::Follower, -0.02, 0.02, 'crown of the face, a dish is negative')->headed('crown')
                    ->on($rubs)->by('dial_indicator')->shownIn(Fineness::Fine)->usually(0.0015),
                Column::of('follower_mass', Part::Follower, 5, 300, Unit::Gram, 'mass of the follower')->headed('mass')
                    ->by('scale')->comparedWithSet()->usually(102, Unit::Gram)
                    ->triedOn(Slider::around(40, 40, 0.5, Unit::Gram))
                    ->orElse(...Way::typical(self::USUAL_MASS, Unit::Gram), ...[
                        Way::usual(0, Unit::Gram, 'the finger stands for itself', basis: Basis::Claimed)->on(
                            static fn (Engine $engine): bool => $engine->drive === DriveKind::Finger,
                        ),
                    ]),
                Column::length('plunger_travel', Part::Follower, 0.0, 0.4)->on($hydraulic)->comparedWithSet()->usually(0.15),
                Column::of('leak_down_time', Part::Follower, 0, 600, Unit::Second)->headed('leak-down')->on($hydraulic)
                    ->by('stopwatch')->usually(35, Unit::Second),
            ],
            values: [
                Value::named('follower_clearance', 'follower in its bore', Dimension::Length, Site::Station)
                    ->shownIn(Fineness::Tenths)->by(Way::derived(self::clearance(), [
                        'bore' => From::value('follower_bore'), 'outside' => From::value('follower_outside'),
                    ])),
                Value::named('element_load', 'load on the element of a valve that stands open', Dimension::Force)->headed('element load')
                    ->by(Way::same(From::value('nose_force'))->on($hydraulic)),
                Value::named('crown_radius', 'radius of the face’s crown', Dimension::Length)->by(
                    Way::derived(FollowerCalculations::crownRadius(), [
                        'face_diameter' => From::value('follower_outside'), 'crown' => From::value('face_crown'),
                    ])->on($rubs),
                ),
            ],
            judged: [
                Judged::of('follower_clearance', 'in its bore')->restsOn('bore', 'outside'),
                Judged::of('face_crown', 'crown'),
                Judged::of('leak_down_time', 'leak-down'),
                Judged::of('element_load', 'load, standing open'),
            ],
            wants: ['follower_outside' => 1, 'follower_bore' => 1, 'face_crown' => 1, 'leak_down_time' => 1],
        );
    }

    private static function clearance(): LinearForm
    {
        return LinearForm::of(
            'follower-in-bore', 'Follower in its bore', Dimension::Length, 'bore − outside diameter',
            Source::practice('too tight it sticks, too loose it tips and bleeds'),
        )->plus('bore', 'bore in block or head')->minus('outside', 'outside diameter of the follower');
    }
}
