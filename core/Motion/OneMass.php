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
        // Responses to forcings that grow with a power: the slope of each is the one before, so all follow from the last two. What does
        // not touch the lobe is pressed by a constant alone.
        if ($alpha > 0.0) {
            [$p5, $p4] = self::responses(5, $kappa, $gamma);
            $p3 = (1.0 - 5.0 * $gamma * $p4 - $kappa * $p5) / 20.0;
            $p2 = (1.0 - 4.0 * $gamma * $p3 - $kappa * $p4) / 12.0;
            $p1 = (1.0 - 3.0 * $gamma * $p2 - $kappa * $p3) / 6.0;
            $p0 = (1.0 - 2.0 * $gamma * $p1 - $kappa * $p2) / 2.0;
        } else {
            [$p1, $p0] = self::responses(1, $kappa, $gamma);
            $p2 = $p3 = $p4 = $p5 = 0.0;
        }
        $slope = 1.0 - $gamma * $p0 - $kappa * $p1;

        return [
            [
                1.0 - $kappa * $p0, $slope, 0.0, 0.0, $constant * $p0, ...self::byFigures(
                    $alpha * $p0, $alpha * $p1 + $beta * $p0, $alpha * $p2 + 2.0 * $beta * $p1, $alpha * $p3 + 3.0 * $beta * $p2,
                    $alpha * $p4 + 4.0 * $beta * $p3, $alpha * $p5 + 5.0 * $beta * $p4,
                ),
            ],
            [
                -$kappa * $slope, 1.0 - $gamma * $slope - $kappa * $p0, 0.0, 0.0, $constant * $slope, ...self::byFigures(
                    $alpha * $slope, $alpha * $p0 + $beta * $slope, 2.0 * ($alpha * $p1 + $beta * $p0),
                    3.0 * ($alpha * $p2 + 2.0 * $beta * $p1), 4.0 * ($alpha * $p3 + 3.0 * $beta * $p2),
                    5.0 * ($alpha * $p4 + 4.0 * $beta * $p3),
                ),
            ],
        ];
    }

    protected function series(float $y, float $w, int $mode, array $powers): array
    {
        [$kappa, $gamma, $f0, $alpha, $beta] = $this->terms[$mode] ??= $this->termsOf($mode);
        [$s0, $s1, $s2, $s3, $s4, $s5] = $powers;
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
        $y2 = ($f0 - $gamma * $w - $kappa * $y) / 2.0;
        $y3 = ($f1 - 2.0 * $gamma * $y2 - $kappa * $w) / 6.0;
        $y4 = ($f2 - 3.0 * $gamma * $y3 - $kappa * $y2) / 12.0;
        $y5 = ($f3 - 4.0 * $gamma * $y4 - $kappa * $y3) / 20.0;
        $before = ($f4 - 5.0 * $gamma * $y5 - $kappa * $y4) / 30.0;
        $now = ($f5 - 6.0 * $gamma * $before - $kappa * $y5) / 42.0;
        $series = [$y - $s0, $w - $s1, $y2 - $s2, $y3 - $s3, $y4 - $s4, $y5 - $s5, $before, $now];
        $n = 7.0;
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
        $perMass = $this->cell ** 2 / $train->mass;

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
     * What answers to the powers of a lobe’s cell, by the six figures that these follow from: lift, slope and bend at either node.
     *
     * @return array{float, float, float, float, float, float}
     */
    private static function byFigures(float $c0, float $c1, float $c2, float $c3, float $c4, float $c5): array
    {
        $rise = 10 * $c3 - 15 * $c4 + 6 * $c5;

        return [
            $c0 - $rise, $c1 - 6 * $c3 + 8 * $c4 - 3 * $c5, 0.5 * $c2 - 1.5 * $c3 + 1.5 * $c4 - 0.5 * $c5,
            $rise, -4 * $c3 + 7 * $c4 - 3 * $c5, 0.5 * $c3 - $c4 + 0.5 * $c5,
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
