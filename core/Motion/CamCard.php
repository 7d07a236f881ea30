<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use MuteTapper\Core\Calculation\Contradiction;

/**
 * The lift of a lobe as its card describes it: lift at the nose, how long it stands above two lifts, and its ramp. One flank, in cam
 * degrees from the nose, of seven pieces whose acceleration is made of smooth steps, so that the lift is piecewise a quintic. A card
 * leaves the shape open: with other shares the same figures give a float speed of about ±3.5 per cent. [own].
 */
final readonly class CamCard
{
    /** Cam degrees over which the ramp begins. [own] */
    private const RAMP_BEGINS = 4.0;
    private const TURNS = 60;
    private const NEAR = 1e-13;

    /** @param list<array{float, float, float, float, float, float}> $pieces where each begins, its width, s, v, a there, and what a gains */
    private function __construct(private array $pieces, public float $end)
    {
    }

    /**
     * Lifts in metres at the lobe, angles in cam degrees from the nose, the rate of the ramp in metres a cam degree.
     *
     * @param float $lift at the nose
     * @param float $high lift at the angle nearer to the nose
     * @param float $low lift at the angle farther from it
     *
     * @throws Contradiction naming the figures that cannot both be right
     */
    public static function of(
        float $lift,
        float $high,
        float $highAngle,
        float $low,
        float $lowAngle,
        float $rampHeight,
        float $rampRate,
        ?FlankShape $shape = null,
    ): self {
        $shape ??= FlankShape::usual();
        if ($lowAngle <= $highAngle || $low >= $high) {
            throw Contradiction::because('The lobe stands longer above the greater lift than above the smaller one.');
        }
        if ($high >= $lift || $rampHeight >= $low) {
            throw Contradiction::because('A lift of the card is no lift of its flank: it lies above the nose, or within the ramp.');
        }
        if ($rampRate <= 0.0) {
            throw Contradiction::because('A ramp rises: its rate is more than nothing.');
        }
        if ($rampRate * self::RAMP_BEGINS / 2 > $rampHeight) {
            throw Contradiction::because('The ramp is steeper than its height allows.');
        }
        $build = static fn (float $top, float $nose): self => self::built($shape, $lift, $top, $nose, $rampHeight, $rampRate);
        $miss = static function (float $top, float $nose) use ($build, $high, $highAngle, $low, $lowAngle): array {
            $card = $build($top, $nose);

            return [$card->lift($highAngle) - $high, $card->lift($lowAngle) - $low];
        };
        // Newton in two unknowns: where the flank ends, and how wide the nose is.
        [$top, $nose] = [$lowAngle + 4.0, 0.3 * $lowAngle];
        for ($turn = 0; $turn < self::TURNS; ++$turn) {
            [$first, $second] = $miss($top, $nose);
            if (abs($first) + abs($second) < self::NEAR) {
                return $build($top, $nose);
            }
            $step = 1e-5;
            [$wider, $later] = [$miss($top + $step, $nose), $miss($top, $nose + $step)];
            [$a, $c] = [($wider[0] - $first) / $step, ($wider[1] - $second) / $step];
            [$b, $d] = [($later[0] - $first) / $step, ($later[1] - $second) / $step];
            $det = $a * $d - $b * $c;
            if ($det === 0.0 || is_nan($det)) {
                break;
            }
            [$dTop, $dNose] = [-($d * $first - $b * $second) / $det, -($a * $second - $c * $first) / $det];
            $short = min(1.0, 4.0 / max(abs($dTop), abs($dNose), 1e-12));
            $top += $short * $dTop;
            $nose += $short * $dNose;
            if ($nose <= 0.5 || $top <= $nose + 3.0) {
                break;
            }
        }

        throw Contradiction::because('No lobe has both durations at this lift and ramp: one of the figures is another than it says.');
    }

    /** Lift at the lobe, in metres, at so many cam degrees from the nose. */
    public function lift(float $angle): float
    {
        return $this->at($angle)[0];
    }

    /** How sharply the lift bends down at the nose, in metres a cam degree squared. */
    public function noseBend(): float
    {
        return -$this->at(0.0)[2];
    }

    /** The whole lobe; both flanks alike where none is given for the closing side. */
    public function curve(?self $closing = null): LobeCurve
    {
        $closing ??= $this;
        $first = -(int) ceil($this->end);
        $nodes = [];
        for ($degree = $first, $last = (int) ceil($closing->end); $degree <= $last; ++$degree) {
            [$lift, $away, $bend] = ($degree < 0 ? $this : $closing)->at((float) $degree);
            $nodes[] = [$lift, $degree < 0 ? -$away : $away, $bend];
        }

        return LobeCurve::at($first, $nodes);
    }

    /** @return array{float, float, float} lift, slope away from the nose and bend, in metres and cam degrees */
    private function at(float $angle): array
    {
        $angle = abs($angle);
        foreach ($this->pieces as [$from, $width, $s, $v, $a, $gain]) {
            if ($angle <= $from + $width) {
                $x = ($angle - $from) / $width;

                return [
                    $s + $v * $width * $x + $width ** 2 * ($a * $x ** 2 / 2 + $gain * ($x ** 4 / 4 - $x ** 5 / 10)),
                    $v + $width * ($a * $x + $gain * ($x ** 3 - $x ** 4 / 2)), $a + $gain * (3 - 2 * $x) * $x ** 2,
                ];
            }
        }

        return [0.0, 0.0, 0.0];
    }

    private static function built(
        FlankShape $shape,
        float $lift,
        float $top,
        float $nose,
        float $rampHeight,
        float $rampRate,
    ): self {
        $flank = array_map(static fn (float $share): float => $share * ($top - $nose), $shape->shares);
        $ends = static fn (float $up, float $down): array => self::run($lift, [
            [$nose, -$down, -$shape->nose * $down], [$flank[0], -$shape->nose * $down, $up], [$flank[1], $up, $up], [$flank[2], $up, 0.0],
        ])[1];
        // Lift and velocity at the end of the flank are linear in the two accelerations.
        [$s0, $v0] = $ends(0.0, 0.0);
        [$s1, $v1] = $ends(1.0, 0.0);
        [$s2, $v2] = $ends(0.0, 1.0);
        [$a, $b, $c, $d] = [$s1 - $s0, $s2 - $s0, $v1 - $v0, $v2 - $v0];
        [$s, $v] = [$rampHeight - $s0, -$rampRate - $v0];
        $det = $a * $d - $b * $c;
        [$up, $down] = [($s * $d - $b * $v) / $det, ($a * $v - $s * $c) / $det];
        $even = ($rampHeight - $rampRate * self::RAMP_BEGINS / 2) / $rampRate;
        $begin = 2 * $rampRate / self::RAMP_BEGINS;
        $pieces = [
            [$nose, -$down, -$shape->nose * $down], [$flank[0], -$shape->nose * $down, $up], [$flank[1], $up, $up], [$flank[2], $up, 0.0],
            [$even, 0.0, 0.0], [self::RAMP_BEGINS / 2, 0.0, $begin], [self::RAMP_BEGINS / 2, $begin, 0.0],
        ];

        return new self(self::run($lift, $pieces)[0], $top + $even + self::RAMP_BEGINS);
    }

    /**
     * @param list<array{float, float, float}> $pieces width, and acceleration at either end
     *
     * @return array{list<array{float, float, float, float, float, float}>, array{float, float}} pieces, and lift and velocity at the end
     */
    private static function run(float $lift, array $pieces): array
    {
        $built = [];
        [$from, $s, $v] = [0.0, $lift, 0.0];
        foreach ($pieces as [$width, $a, $to]) {
            $gain = $to - $a;
            $built[] = [$from, $width, $s, $v, $a, $gain];
            $s += $v * $width + $width ** 2 * ($a / 2 + $gain * (1 / 4 - 1 / 10));
            $v += $width * ($a + $gain / 2);
            $from += $width;
        }

        return [$built, [$s, $v]];
    }
}
