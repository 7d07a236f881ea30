<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cam;

use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Formula;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Quantity\Dimension;

/** Lobe on follower: how sharply the nose bends the lift, and what the contact there bears. */
final class CamCalculations
{
    /** How sharply lobe lift bends at the nose, from three lifts read at equal steps of the cam. */
    public static function noseBend(): Formula
    {
        return Formula::of(
            'nose-bend', 'Bend of the lift at the nose', Dimension::LiftCurvature,
            '(2·lift at the nose − lift before − lift after) ÷ step², in degrees of the cam',
            Source::published('central second difference, any text on numbers; steps of 10 to 20° keep the gauge’s error small [own]'),
            static function (float $nose, float $before, float $after, float $step): float {
                if ($step <= 0.0) {
                    throw Contradiction::because('The step between the lifts must be more than nothing.');
                }

                return (2 * $nose - $before - $after) / $step ** 2;
            },
        )
            ->input('lift_at_nose', 'lobe lift at the nose', Dimension::Length)
            ->input('lift_before', 'lobe lift one step before it', Dimension::Length)
            ->input('lift_after', 'lobe lift one step past it', Dimension::Length)
            ->input('step', 'step, in degrees of the cam', Dimension::CrankAngle);
    }

    /** Radius of the nose from how sharply it bends the lift, for a flat face: there it is what the face rides on. */
    public static function noseRadius(): Formula
    {
        return Formula::of(
            'nose-radius-from-bend', 'Radius of the nose under a flat face', Dimension::Length,
            'height of the nose − bend × (180 ÷ π)²',
            Source::published('radius of a cam under a flat face: base radius + lift + lift″; any text on cams; from memory'),
            static function (float $height, float $bend): float {
                $radius = $height - $bend * rad2deg(rad2deg(1));

                return $radius > 0.0 ? $radius : throw Contradiction::because(
                    'So sharp a nose would cut the flat face’s path: check the height from the cam’s centre and the three lifts.',
                );
            },
        )
            ->input('nose_height', 'from the cam’s centre to the tip of the nose', Dimension::Length)
            ->input('bend', 'bend of the lift at the nose', Dimension::LiftCurvature);
    }

    /** From the cam's centre to the tip of the nose. */
    public static function noseHeight(): Formula
    {
        return Formula::of(
            'nose-height', 'From the cam’s centre to the tip of the nose', Dimension::Length, 'base circle ÷ 2 + lobe lift',
            Source::published('lift is counted from the base circle; any text on cams'),
            static fn (float $base, float $lift): float => $base / 2 + $lift,
        )
            ->input('base_circle', 'diameter of the base circle', Dimension::Length)
            ->input('lobe_lift', 'lift at the lobe', Dimension::Length);
    }

    /** Radius of the nose from how sharply it bends the lift of a roller, whose middle runs on a curve of its own. */
    public static function noseRadiusUnderRoller(): Formula
    {
        return Formula::of(
            'nose-radius-under-roller', 'Radius of the nose under a roller', Dimension::Length,
            'R² ÷ (R + bend × (180 ÷ π)²) − roller ÷ 2, R = height of the nose + roller ÷ 2',
            Source::published('radius of the pitch curve of a radial roller, at standstill of the lift; any text on cams; from memory'),
            static function (float $height, float $bend, float $roller): float {
                $pitch = $height + $roller / 2;
                $radius = $pitch ** 2 / ($pitch + $bend * rad2deg(rad2deg(1))) - $roller / 2;

                return $radius > 0.0 ? $radius : throw Contradiction::because(
                    'So sharp a nose would cut the roller’s path: check the roller, the height from the cam’s centre and the three lifts.',
                );
            },
        )
            ->input('nose_height', 'from the cam’s centre to the tip of the nose', Dimension::Length)
            ->input('bend', 'bend of the lift at the nose', Dimension::LiftCurvature)
            ->input('roller_diameter', 'diameter of the roller', Dimension::Length);
    }

    public static function rollerRadius(): Formula
    {
        return Formula::of(
            'roller-radius', 'Radius of a roller', Dimension::Length, 'diameter ÷ 2', Source::published('any text'),
            static fn (float $diameter): float => $diameter / 2,
        )->input('roller_diameter', 'diameter of the roller', Dimension::Length);
    }

    /** What two curved faces bear against each other as one cylinder on a flat. */
    public static function contactRadius(): Formula
    {
        return Formula::of(
            'contact-radius', 'Radius of lobe and follower together', Dimension::Length, '1 ÷ (1 ÷ nose radius + 1 ÷ follower radius)',
            Source::published('Johnson, Contact Mechanics; from memory'),
            static fn (float $nose, float $follower): float => 1 / (1 / $nose + 1 / $follower),
        )
            ->input('nose_radius', 'radius of the nose', Dimension::Length)
            ->input('follower_radius', 'radius of the follower’s crown or roller; a flat face leaves the nose’s own', Dimension::Length);
    }

    /** Greatest pressure of a line contact. */
    public static function noseStress(): Formula
    {
        return Formula::of(
            'nose-stress', 'Contact stress at the nose', Dimension::Stress, '√(F·E* ÷ (π·b·R))',
            Source::published('Hertz line contact: Johnson, Contact Mechanics; Shigley; from memory'),
            static fn (float $force, float $width, float $radius, float $modulus): float => sqrt(
                $force * $modulus / (M_PI * $width * $radius),
            ),
        )
            ->input('force', 'force between lobe and follower', Dimension::Force)
            ->input('track_width', 'width of the track', Dimension::Length)
            ->input('contact_radius', 'radius of the two together', Dimension::Length)
            ->input('contact_modulus', 'E* of both bodies, 113,000 MPa steel on steel', Dimension::Stress);
    }

    /** Force on the nose while the engine is turned slowly: inertia takes nothing off it. */
    public static function noseForceSlow(): Formula
    {
        return Formula::of(
            'nose-force-slow', 'Force on the nose, turned slowly', Dimension::Force, 'open load × rocker ratio',
            Source::practice('low speed with much spring is where the nose suffers'),
            static fn (float $load, float $ratio): float => $load * $ratio,
        )
            ->input('load_open', 'spring load at full lift', Dimension::Force)
            ->input('ratio', 'rocker ratio, 1 for direct drive', Dimension::Ratio);
    }

    /** Force on the nose at a speed, as long as nothing swings: inertia at the nose pulls away from it. */
    public static function noseForceAtSpeed(): Formula
    {
        return Formula::of(
            'nose-force-at-speed', 'Force on the nose at a speed', Dimension::Force,
            'ratio × (open load − mass at the valve × ratio × bend × (3 × engine speed)²)',
            Source::own('stiff train, no swinging: real forces rise and fall around it'),
            static fn (float $load, float $ratio, float $mass, float $bend, float $speed): float => $ratio
                * ($load - $mass * $ratio * $bend * (3 * $speed) ** 2),
        )
            ->input('load_open', 'spring load at full lift', Dimension::Force)
            ->input('ratio', 'rocker ratio, 1 for direct drive', Dimension::Ratio)
            ->input('mass', 'effective mass at the valve', Dimension::Mass)
            ->input('bend', 'bend of the lobe’s lift at the nose', Dimension::LiftCurvature)
            ->input('engine_speed', 'speed of the crankshaft', Dimension::RotationSpeed);
    }
}
