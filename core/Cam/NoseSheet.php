<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cam;

use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\DriveKind;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\FollowerFace;
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

/** The nose of a lobe: how sharp it is, and what it bears turned slowly, where no inertia relieves it. */
final class NoseSheet
{
    /** From the nose to the lifts read before and past it, in degrees of the cam: wide enough that a gauge's error stays small. [own] */
    public const STEP = 10;
    /** E* of steel on steel, in MPa, and the half-width that alloys and irons make of it. [pub: any text on contact; from memory] */
    private const CONTACT_MODULUS = 113000;
    private const CONTACT_MODULUS_HALF_WIDTH = 4000;

    public static function declare(): Sheet
    {
        $rolls = static fn (Engine $engine): bool => $engine->face === FollowerFace::Roller;
        $slides = static fn (Engine $engine): bool => $engine->face !== FollowerFace::Roller;
        $lift = static fn (string $code, string $where): Column => Column::length(
            $code, Part::Lobe, 0.0, 0.8, sprintf('lobe lift %d° %s the nose', self::STEP, $where),
        )->headed(sprintf('%d° %s', self::STEP, $where))->by('dial_indicator')->shownIn(Fineness::Fine);

        return new Sheet(
            code: 'noses',
            title: 'Noses and their load',
            step: Step::Bench,
            what: 'noses',
            columns: [
                $lift('lift_before_nose', 'before')->usually(0.3785),
                $lift('lift_past_nose', 'past')->usually(0.3781),
                Column::length('base_circle', Part::Lobe, 0.5, 2.6, 'diameter of the base circle')->headed('base dia.')->usually(1.25),
                Column::length('roller_diameter', Part::Follower, 0.3, 1.2, 'diameter of the roller')->headed('roller')->on($rolls)
                    ->by('outside_micrometer')->usually(0.75),
            ],
            values: self::values($slides, $rolls),
            judged: [
                Judged::of('sliding_nose_stress', 'nose, turned slowly')->restsOn('force', 'track_width'),
                Judged::of('rolling_nose_stress', 'nose, turned slowly')->restsOn('force', 'track_width'),
            ],
            also: ['lobe_lift', 'track_width'],
            wants: ['lift_before_nose' => 1, 'lift_past_nose' => 1, 'base_circle' => 1],
            // The lobe moves a finger along an arc of its own: what the face rides on is not told by the lift alone.
            on: static fn (Engine $engine): bool => $engine->drive !== DriveKind::Finger,
        );
    }

    /**
     * @param \Closure(Engine): bool $slides
     * @param \Closure(Engine): bool $rolls
     *
     * @return list<Value>
     */
    private static function values(\Closure $slides, \Closure $rolls): array
    {
        $nose = ['nose_height' => From::value('nose_height'), 'bend' => From::value('nose_bend')];
        $load = ['load_open' => From::value('valve_open_load'), 'ratio' => From::value('ratio')];
        $contact = [
            'track_width' => From::value('track_width'), 'contact_radius' => From::value('contact_radius'),
            'contact_modulus' => From::value('contact_modulus'),
        ];
        $stress = Way::derived(CamCalculations::noseStress(), ['force' => From::value('nose_force')] + $contact);

        return [
            Value::named('nose_step', 'step to the lifts beside the nose', Dimension::CrankAngle, Site::Engine)
                ->by(Way::usual(self::STEP, Unit::Degree, 'of the cam, as the columns say')),
            Value::named('contact_modulus', 'E* of lobe and follower', Dimension::Stress, Site::Engine)->by(
                Way::usual(self::CONTACT_MODULUS, Unit::Megapascal, 'steel on steel', self::CONTACT_MODULUS_HALF_WIDTH),
            ),
            Value::named('nose_bend', 'bend of the lift at the nose', Dimension::LiftCurvature)->by(
                Way::derived(CamCalculations::noseBend(), [
                    'lift_at_nose' => From::value('lobe_lift'), 'lift_before' => From::value('lift_before_nose'),
                    'lift_after' => From::value('lift_past_nose'), 'step' => From::value('nose_step'),
                ]),
            ),
            Value::named('nose_height', 'from the cam’s centre to the tip of the nose', Dimension::Length)->by(
                Way::derived(CamCalculations::noseHeight(), [
                    'base_circle' => From::value('base_circle'), 'lobe_lift' => From::value('lobe_lift'),
                ]),
            ),
            Value::named('nose_radius', 'radius of the nose', Dimension::Length)->headed('nose radius')->by(
                Way::derived(CamCalculations::noseRadius(), $nose)->on($slides),
                Way::derived(
                    CamCalculations::noseRadiusUnderRoller(), $nose + ['roller_diameter' => From::value('roller_diameter')],
                )->on($rolls),
            ),
            Value::named('follower_radius', 'radius of the follower where the lobe runs', Dimension::Length)->by(
                Way::derived(CamCalculations::rollerRadius(), ['roller_diameter' => From::value('roller_diameter')])->on($rolls),
                Way::same(From::value('crown_radius'))->on($slides),
            ),
            Value::named('contact_radius', 'radius of lobe and follower together', Dimension::Length)->by(
                Way::derived(CamCalculations::contactRadius(), [
                    'nose_radius' => From::value('nose_radius'), 'follower_radius' => From::value('follower_radius'),
                ]),
                Way::same(From::value('nose_radius'))->on(
                    static fn (Engine $engine): bool => $engine->face === FollowerFace::Flat,
                ),
            ),
            Value::named('nose_force', 'force on the nose, turned slowly', Dimension::Force)->headed('force, slow')
                ->by(Way::derived(CamCalculations::noseForceSlow(), $load)),
            Value::named('nose_force_at_speed', 'force on the nose at the intended speed', Dimension::Force)->headed('force, at speed')
                ->by(Way::derived(CamCalculations::noseForceAtSpeed(), $load + [
                    'mass' => From::value('effective_mass'), 'bend' => From::value('nose_bend'), 'engine_speed' => From::value('top_speed'),
                ])),
            Value::named('sliding_nose_stress', 'contact stress at a nose under a sliding face', Dimension::Stress)
                ->by($stress->on($slides)),
            Value::named('rolling_nose_stress', 'contact stress at a nose under a roller', Dimension::Stress)->by($stress->on($rolls)),
        ];
    }
}
