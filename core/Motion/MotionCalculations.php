<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Formula;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Quantity\Dimension;

/** What moves, and the speed up to which the spring alone could hold it to the nose. */
final class MotionCalculations
{
    /** What moves, as if all of it were at the valve. */
    public static function effectiveMass(): Formula
    {
        return Formula::of(
            'effective-mass', 'Effective mass at the valve', Dimension::Mass,
            'valve + retainer + locks + spring ÷ 3 + (follower + pushrod) ÷ ratio² + rocker at the valve',
            Source::published('kinetic energy taken together: a third of the spring, Rayleigh; any text on vibration; from memory'),
            static fn (
                float $valve,
                float $retainer,
                float $locks,
                float $spring,
                float $follower,
                float $pushrod,
                float $rocker,
                float $ratio,
            ): float => $valve + $retainer + $locks + $spring / 3 + ($follower + $pushrod) / $ratio ** 2 + $rocker,
        )
            ->input('valve', 'valve', Dimension::Mass)->input('retainer', 'retainer', Dimension::Mass)
            ->input('locks', 'locks', Dimension::Mass)->input('spring', 'springs, outer, inner and damper', Dimension::Mass)
            ->input('follower', 'follower', Dimension::Mass)->input('pushrod', 'pushrod, 0 without one', Dimension::Mass)
            ->input('rocker', 'rocker or finger, its inertia over the square of its arm at the valve', Dimension::Mass)
            ->input('ratio', 'rocker ratio, 1 for direct drive', Dimension::Ratio);
    }

    /** Speed above which the spring cannot hold the valve train to the nose, if nothing in it were elastic. */
    public static function quasiStaticBound(): Formula
    {
        return Formula::of(
            'quasi-static-bound', 'Quasi-static upper bound of speed', Dimension::RotationSpeed,
            '√((open load − gas force) ÷ (mass × ratio × bend)) ÷ 3, in turns of the crank a minute',
            Source::own('an upper bound, never the speed of float: 3 to 5 % too high on stiff bucket trains, 37 to 55 % with pushrods'),
            static function (float $load, float $gas, float $mass, float $ratio, float $bend): float {
                if ($load <= $gas) {
                    throw Contradiction::because('The gas holds as much as the spring: there is nothing left to follow the lobe.');
                }
                if ($bend <= 0.0) {
                    throw Contradiction::because('At the nose the lift bends down: the bend must be more than nothing.');
                }

                return sqrt(($load - $gas) / ($mass * $ratio * $bend)) / 3;
            },
        )
            ->input('load_open', 'spring load at full lift', Dimension::Force)
            ->input('gas_force', 'gas force that opens the valve, 0 where none is known', Dimension::Force)
            ->input('mass', 'effective mass at the valve', Dimension::Mass)
            ->input('ratio', 'rocker ratio, 1 for direct drive', Dimension::Ratio)
            ->input('bend', 'bend of the lobe’s lift at the nose', Dimension::LiftCurvature);
    }

    /** The bound over the speed that is wanted: below 1 even a train that never gives way would leave its nose. */
    public static function boundOverSpeed(): Formula
    {
        return Formula::of(
            'bound-over-speed', 'Quasi-static bound over the intended speed', Dimension::Ratio, 'bound ÷ intended speed',
            Source::own('an upper bound: above 1 it promises nothing, below 1 it says that the spring is too weak'),
            static fn (float $bound, float $speed): float => $bound / $speed,
        )
            ->input('bound', 'quasi-static upper bound of speed', Dimension::RotationSpeed)
            ->input('speed', 'speed that the engine is meant for', Dimension::RotationSpeed);
    }

    /** Which harmonic of the cam's turn sets the spring swinging at a speed: the higher it is, the less of it is in the lift. */
    public static function surgeOrder(): Formula
    {
        return Formula::of(
            'surge-order', 'Harmonic of the cam that meets the spring', Dimension::Ratio, '120 × surge frequency ÷ speed of the crank',
            Source::published(
                'the cam turns at half the speed of the crank; natural frequency over that of the cam: any text on springs; from memory',
            ),
            static fn (float $frequency, float $speed): float => $speed > 0.0 ? 120 * $frequency / $speed : throw Contradiction::because(
                'An engine that stands sets nothing swinging.',
            ),
        )
            ->input('frequency', 'surge frequency of the spring', Dimension::Frequency)
            ->input('speed', 'speed of the crank', Dimension::RotationSpeed);
    }
}
