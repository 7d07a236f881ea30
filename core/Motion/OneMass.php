<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

/** A valve train as one mass, its spring without a mass that swings. A leap is a transition matrix and the response to the lobe's cell. */
final class OneMass extends ValveMotion
{
    private const MOST_TURNS = 12;

    /** @var array<int, array{float, float, float, float, float}> stiffness, damping, constant, what lift and slope press with, by mode */
    private array $terms = [];
    private float $springDamping;

    protected function lightest(): float
    {
        return $this->train->mass;
    }

    protected function prepare(): void
    {
        $this->springDamping = 2 * $this->train->springDamping * sqrt($this->train->spring->pieces[0][2] * $this->train->mass);
    }

    protected function mostTurns(): int
    {
        return self::MOST_TURNS;
    }

    protected function leapOf(int $mode): array
    {
        [$kappa, $gamma, $constant, $alpha, $beta] = $this->terms[$mode] ??= $this->termsOf($mode);
        // What does not touch the lobe is pressed by a constant alone.
        if ($alpha <= 0.0) {
            [$p1, $p0] = self::responses(1, $kappa, $gamma);
            $slope = 1.0 - $gamma * $p0 - $kappa * $p1;

            return [
                [1.0 - $kappa * $p0, $slope, 0.0, 0.0, $constant * $p0],
                [-$kappa * $slope, 1.0 - $gamma * $slope - $kappa * $p0, 0.0, 0.0, $constant * $slope],
            ];
        }
        // Responses to forcings that grow with a power: the slope of each is the one before, so all follow from the last two.
        [$p5, $p4] = self::responses(5, $kappa, $gamma);
        $p3 = (1.0 - 5.0 * $gamma * $p4 - $kappa * $p5) * (1.0 / 20.0);
        $p2 = (1.0 - 4.0 * $gamma * $p3 - $kappa * $p4) * (1.0 / 12.0);
        $p1 = (1.0 - 3.0 * $gamma * $p2 - $kappa * $p3) * (1.0 / 6.0);
        $p0 = (1.0 - 2.0 * $gamma * $p1 - $kappa * $p2) * 0.5;
        $slope = 1.0 - $gamma * $p0 - $kappa * $p1;
        // By the powers of the lobe's quintic.
        $y0 = $alpha * $p0;
        $y1 = $alpha * $p1 + $beta * $p0;
        $y2 = 0.5 * $alpha * $p2 + $beta * $p1;
        $y3 = $alpha * $p3 + 3.0 * $beta * $p2;
        $y4 = $alpha * $p4 + 4.0 * $beta * $p3;
        $y5 = $alpha * $p5 + 5.0 * $beta * $p4;
        $w0 = $alpha * $slope;
        $w1 = $alpha * $p0 + $beta * $slope;
        $w3 = 3.0 * ($alpha * $p2 + 2.0 * $beta * $p1);
        $w4 = 4.0 * ($alpha * $p3 + 3.0 * $beta * $p2);
        $w5 = 5.0 * ($alpha * $p4 + 4.0 * $beta * $p3);
        $yRise = 10.0 * $y3 - 15.0 * $y4 + 6.0 * $y5;
        $wRise = 10.0 * $w3 - 15.0 * $w4 + 6.0 * $w5;

        return [
            [
                1.0 - $kappa * $p0, $slope, 0.0, 0.0, $constant * $p0, $y0 - $yRise, $y1 - 6.0 * $y3 + 8.0 * $y4 - 3.0 * $y5,
                $y2 - 1.5 * $y3 + 1.5 * $y4 - 0.5 * $y5, $yRise, -4.0 * $y3 + 7.0 * $y4 - 3.0 * $y5, 0.5 * $y3 - $y4 + 0.5 * $y5,
            ],
            [
                -$kappa * $slope, 1.0 - $gamma * $slope - $kappa * $p0, 0.0, 0.0, $constant * $slope,
                $w0 - $wRise, $w1 - 6.0 * $w3 + 8.0 * $w4 - 3.0 * $w5, $alpha * $p1 + $beta * $p0 - 1.5 * $w3 + 1.5 * $w4 - 0.5 * $w5,
                $wRise, -4.0 * $w3 + 7.0 * $w4 - 3.0 * $w5, 0.5 * $w3 - $w4 + 0.5 * $w5,
            ],
        ];
    }

    protected function series(float $y, float $w, int $mode): array
    {
        [$kappa, $gamma, $f0, $alpha, $beta] = $this->terms[$mode] ??= $this->termsOf($mode);
        $s0 = $this->c0;
        $s1 = $this->c1;
        $s2 = $this->c2;
        $s3 = $this->c3;
        $s4 = $this->c4;
        $s5 = $this->c5;
        // The lobe presses with a quintic: six terms follow from it, the others from these.
        $f1 = $f2 = $f3 = $f4 = $f5 = 0.0;
        if ($alpha > 0.0) {
            $f0 += $alpha * $s0 + $beta * $s1;
            $f1 = $alpha * $s1 + 2.0 * $beta * $s2;
            $f2 = $alpha * $s2 + 3.0 * $beta * $s3;
            $f3 = $alpha * $s3 + 4.0 * $beta * $s4;
            $f4 = $alpha * $s4 + 5.0 * $beta * $s5;
            $f5 = $alpha * $s5;
        }
        $y2 = ($f0 - $gamma * $w - $kappa * $y) * 0.5;
        $y3 = ($f1 - 2.0 * $gamma * $y2 - $kappa * $w) * (1.0 / 6.0);
        $y4 = ($f2 - 3.0 * $gamma * $y3 - $kappa * $y2) * (1.0 / 12.0);
        $y5 = ($f3 - 4.0 * $gamma * $y4 - $kappa * $y3) * (1.0 / 20.0);
        $y6 = ($f4 - 5.0 * $gamma * $y5 - $kappa * $y4) * (1.0 / 30.0);
        $y7 = ($f5 - 6.0 * $gamma * $y6 - $kappa * $y5) * (1.0 / 42.0);
        $y8 = (7.0 * $gamma * $y7 + $kappa * $y6) * (-1.0 / 56.0);
        $y9 = (8.0 * $gamma * $y8 + $kappa * $y7) * (-1.0 / 72.0);
        $before = (9.0 * $gamma * $y9 + $kappa * $y8) * (-1.0 / 90.0);
        $now = (10.0 * $gamma * $before + $kappa * $y9) * (-1.0 / 110.0);
        $series = [$y - $s0, $w - $s1, $y2 - $s2, $y3 - $s3, $y4 - $s4, $y5 - $s5, $y6, $y7, $y8, $y9, $before, $now];
        $n = 11.0;
        $nothing = self::NOTHING;
        while ($n < self::TERMS && ($now > $nothing || $now < -$nothing || $before > $nothing || $before < -$nothing)) {
            $next = -($gamma * $n * $now + $kappa * $before) / ($n * ($n + 1.0));
            $series[] = $next;
            $before = $now;
            $now = $next;
            $n += 1.0;
        }

        return $series;
    }

    protected function arrive(float $at): void
    {
    }

    protected function staysSeated(int $cells): bool
    {
        return $this->ringsOut($cells);
    }

    protected function wait(int $cells): void
    {
    }

    protected function bendOf(float $y, float $w, int $node, int $mode): float
    {
        [$kappa, $gamma, $constant, $alpha, $beta] = $this->terms[$mode] ??= $this->termsOf($mode);

        return $constant + $alpha * $this->asked[$node] + $beta * $this->slope[$node] - $gamma * $w - $kappa * $y;
    }

    /** @return array{float, float, float, float, float} stiffness, damping, constant, what the lobe's lift and its slope press with */
    private function termsOf(int $mode): array
    {
        $train = $this->train;
        [$isHeld, $isSeated] = [($mode & self::AT_LOBE) !== 0, ($mode & self::AT_SEAT) !== 0];
        [$from, $load, $rate] = $train->spring->pieces[$mode >> self::PIECE];
        $perMass = $this->cell * $this->cell / $train->mass;

        return [
            $perMass * ($rate + ($isHeld ? $train->stiffness : 0.0) + ($isSeated ? $train->seatStiffness : 0.0)),
            $perMass * (
                $this->springDamping / $this->cell
                + ($isHeld ? $this->dampingOverCell : 0.0) + ($isSeated ? $this->seatDampingOverCell : 0.0)
            ),
            -$perMass * ($load - $rate * $from), $isHeld ? $perMass * $train->stiffness : 0.0,
            $isHeld ? $perMass * $this->dampingOverCell : 0.0,
        ];
    }

    /**
     * Where a cell ends that began at rest and is pressed by a forcing that grows with this power; then with the one below.
     *
     * @return array{float, float}
     */
    private static function responses(int $power, float $kappa, float $gamma): array
    {
        $before = 0.0;
        $n = $power + 2.0;
        $now = 1.0 / ($n * ($n - 1.0));
        $end = $now;
        $slope = $n * $now;
        $nothing = self::NOTHING;
        while ($n < self::TERMS && ($now > $nothing || $now < -$nothing || $before > $nothing || $before < -$nothing)) {
            $next = -($gamma * $n * $now + $kappa * $before) / ($n * ($n + 1.0));
            $before = $now;
            $now = $next;
            $n += 1.0;
            $end += $now;
            $slope += $n * $now;
        }

        return [$end, $slope / $power];
    }
}
