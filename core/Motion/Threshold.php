<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

/** The speeds at which a train lets go of its lobe. Turns of the crank a minute. [own] */
final readonly class Threshold
{
    /** Loft over the nose that is called float, in metres. A setting of the trade, not a law of it. [own] */
    public const FLOAT_LOFT = 0.25e-3;
    /** Shares of the bound at which the search begins and ends, and how far a step goes. */
    private const FROM = 0.3;
    private const TO = 1.35;
    private const STEP = 0.02;
    private const STEP_SURGING = 0.01;
    /** A speed that was known before is looked for within this share of it first. */
    private const NEAR = 0.06;
    private const NEAR_SURGING = 0.16;
    private const EXACT = 1.0;

    /** Least speed at which the valve flies more than so far past full lift; null where it never does. */
    public static function floatSpeed(ValveTrain $train, ?float $near = null, bool $surges = false): ?float
    {
        // A spring that surges may float in a narrow band of speeds, too.
        return $surges
            ? self::first($train, $near, self::NEAR_SURGING, self::STEP_SURGING, static fn (float $speed): bool => (
                SurgingSpring::turn($train, $speed)->loft > self::FLOAT_LOFT
            ))
            : self::first($train, $near, self::NEAR, self::STEP, static fn (float $speed): bool => (
                OneMass::turn($train, $speed)->loft > self::FLOAT_LOFT
            ));
    }

    /** Least speed at which a gap opens at the cam where the lobe slows the valve down. */
    public static function firstLoss(ValveTrain $train, ?float $near = null): ?float
    {
        return self::first(
            $train, $near, self::NEAR, self::STEP, static fn (float $speed): bool => OneMass::turn($train, $speed)->partsOverNose,
        );
    }

    /**
     * Speed above which no spring such as this could hold the train to the nose, were it all stiff: good to some per cent for bucket
     * trains, half too high with pushrods. An upper bound, never the speed of float. The nose is where the lift bends down without a
     * break.
     */
    public static function bound(ValveTrain $train): float
    {
        $lobe = $train->lobe;
        $least = INF;
        foreach ([-1, 1] as $side) {
            for ($degree = $lobe->peakDegree(); ($bend = $lobe->bendsDown($degree)) > 0.0; $degree += $side) {
                $lift = $train->ratio * $lobe->of($degree)[0] - $train->lash;
                $least = $lift > 0.0 ? min($least, $train->spring->at($lift) / ($train->mass * $train->ratio * $bend)) : $least;
            }
        }

        return sqrt($least) / 3;
    }

    /** @param \Closure(float): bool $isPast */
    private static function first(ValveTrain $train, ?float $near, float $within, float $step, \Closure $isPast): ?float
    {
        $bound = self::bound($train);
        $speed = $near === null ? self::FROM * $bound : (1 - $within) * $near;
        if ($near !== null && $isPast($speed)) {
            return self::first($train, null, $within, $step, $isPast);
        }
        while (!$isPast($speed)) {
            $speed *= 1 + $step;
            if ($speed > self::TO * $bound) {
                return null;
            }
        }
        [$from, $to] = [$speed / (1 + $step), $speed];
        while ($to - $from > self::EXACT) {
            $middle = ($from + $to) / 2;
            [$from, $to] = $isPast($middle) ? [$from, $middle] : [$middle, $to];
        }

        return ($from + $to) / 2;
    }
}
