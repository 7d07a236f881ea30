<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

/** Where about overlap something is nearest. */
final class AboutOverlap
{
    /** Crank degrees about top dead centre within which the nearest place is looked for. */
    public const WITHIN = 42;
    private const STEP = 2.0;
    private const GOLDEN = 0.6180339887498949;
    private const NEAR = 1e-6;

    /**
     * @param \Closure(float): float $at clearance at a crank degree after top dead centre
     *
     * @return array{float, float} the degree at which it is least, and how much it is there
     */
    public static function nearest(\Closure $at): array
    {
        [$best, $least] = [0.0, INF];
        for ($degree = -(float) self::WITHIN; $degree <= self::WITHIN; $degree += self::STEP) {
            $here = $at($degree);
            [$best, $least] = $here < $least ? [$degree, $here] : [$best, $least];
        }
        [$from, $to] = [$best - self::STEP, $best + self::STEP];
        while ($to - $from > self::NEAR) {
            [$left, $right] = [$to - self::GOLDEN * ($to - $from), $from + self::GOLDEN * ($to - $from)];
            [$from, $to] = $at($left) < $at($right) ? [$from, $right] : [$left, $to];
        }

        return [($from + $to) / 2, $at(($from + $to) / 2)];
    }
}
