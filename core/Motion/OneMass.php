<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use function abs;
use function max;

/** A valve train as one mass, its spring without a mass that swings. A leap is a transition matrix and the response to the lobe's cell. */
final class OneMass extends ValveMotion
{
    private const MOST_TURNS = 12;

    /** @var array<int, non-empty-list<float>> by mode */
    private array $modes = [];
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

    protected function leap(int $node, int $mode): void
    {
        $of = $this->modes[$mode] ??= $this->mode($mode);
        $y = $this->y;
        $w = $this->w;
        $this->nextY = $of[0] * $y + $of[1] * $w + $of[4];
        $this->nextW = $of[2] * $y + $of[3] * $w + $of[5];
        if (($mode & self::AT_LOBE) !== 0) {
            $s0 = $this->asked[$node] ?? -$this->lash;
            $p0 = $this->slope[$node] ?? 0.0;
            $a0 = $this->bend[$node] ?? 0.0;
            $s1 = $this->asked[$node + 1] ?? -$this->lash;
            $p1 = $this->slope[$node + 1] ?? 0.0;
            $a1 = $this->bend[$node + 1] ?? 0.0;
            $this->nextY += $of[6] * $s0 + $of[7] * $p0 + $of[8] * $a0 + $of[9] * $s1 + $of[10] * $p1 + $of[11] * $a1;
            $this->nextW += $of[12] * $s0 + $of[13] * $p0 + $of[14] * $a0 + $of[15] * $s1 + $of[16] * $p1 + $of[17] * $a1;
        }
    }

    protected function glide(int $node, int $mode): int
    {
        [$a, $b, $c, $d, $x, $v, $gx0, $gx1, $gx2, $gx3, $gx4, $gx5, $gv0, $gv1, $gv2, $gv3, $gv4, $gv5]
            = $this->modes[$mode] ??= $this->mode($mode);
        $asked = $this->asked;
        $slope = $this->slope;
        $bend = $this->bend;
        $last = $this->lastNode;
        $stiffness = $this->stiffness;
        $over = $this->dampingOverCell;
        $seat = $this->seatStiffness;
        $seatOver = $this->seatDampingOverCell;
        $isSeated = $mode !== self::AT_LOBE;
        $watched = $this->watchedUntil;
        $y = $this->y;
        $w = $this->w;
        $f0 = $this->force;
        $before = $this->forceBefore;
        $peak = $this->peak;
        $s0 = $asked[$node];
        $p0 = $slope[$node];
        $a0 = $bend[$node];
        $least = self::LOW * $peak;
        while ($node < $last) {
            $s1 = $asked[$node + 1];
            $p1 = $slope[$node + 1];
            $a1 = $bend[$node + 1];
            $y1 = $a * $y + $b * $w + $x + $gx0 * $s0 + $gx1 * $p0 + $gx2 * $a0 + $gx3 * $s1 + $gx4 * $p1 + $gx5 * $a1;
            $w1 = $c * $y + $d * $w + $v + $gv0 * $s0 + $gv1 * $p0 + $gv2 * $a0 + $gv3 * $s1 + $gv4 * $p1 + $gv5 * $a1;
            $f1 = $stiffness * ($s1 - $y1) + $over * ($p1 - $w1);
            if ($f1 <= 0.0 || $f0 + $f1 < $least || ($isSeated ? $seat * $y1 + $seatOver * $w1 >= 0.0 : $y1 < self::CLEAR)) {
                $this->peak = $peak;
                if (!$this->holds($mode, $node, $y, $w, $y1, $w1, 0.0, $f0, $f1)) {
                    $this->isChanging = true;
                    $this->nextY = $y1;
                    $this->nextW = $w1;
                    break;
                }
            }
            if ($node < $watched) {
                if ($f0 > self::NEAR_PEAK * $peak || $f1 > self::NEAR_PEAK * $peak) {
                    $this->peak = $peak;
                    $this->watch($y, $w, $node, $mode, $y1, $w1, $f0, $f1);
                    $peak = $this->peak;
                    $least = self::LOW * $peak;
                }
            } elseif ($f1 > $peak) {
                $peak = $f1;
                $least = self::LOW * $peak;
            } elseif ($f1 < $f0 && $f0 >= $before && $f0 > self::TOP * $peak) {
                $this->peak = $peak;
                $this->forceBefore = $before;
                $this->notePeak($f0, $f1);
                $peak = $this->peak;
                $least = self::LOW * $peak;
            }
            if ($w > 0.0 && $w1 <= 0.0) {
                $this->noteTop(self::turningPoint($y, $w, $y1, $w1));
            }
            $before = $f0;
            $f0 = $f1;
            $y = $y1;
            $w = $w1;
            $s0 = $s1;
            $p0 = $p1;
            $a0 = $a1;
            ++$node;
        }
        $this->y = $y;
        $this->w = $w;
        $this->force = $f0;
        $this->forceBefore = $before;
        $this->peak = $peak;

        return $node;
    }

    protected function drift(int $node, int $mode, int $round): int
    {
        [$a, $b, $c, $d, $x, $v] = $this->modes[$mode] ??= $this->mode($mode);
        $asked = $this->asked;
        $slope = $this->slope;
        $bend = $this->bend;
        $last = $this->lastNode;
        $lash = $this->lash;
        $stiffness = $this->stiffness;
        $over = $this->dampingOverCell;
        $seat = $this->seatStiffness;
        $seatOver = $this->seatDampingOverCell;
        $isFlying = $mode === 0;
        $y = $this->y;
        $w = $this->w;
        $asking = 0;
        $parts = false;
        $d0 = ($asked[$node] ?? -$lash) - $y;
        $e0 = ($slope[$node] ?? 0.0) - $w;
        while ($node < $last) {
            $y1 = $a * $y + $b * $w + $x;
            $w1 = $c * $y + $d * $w + $v;
            $s1 = $asked[$node + 1];
            $d1 = $s1 - $y1;
            $e1 = $slope[$node + 1] - $w1;
            // It meets the lobe, or the seat, or leaves it: that is looked at more closely.
            if (
                ($d1 > 0.0 && $stiffness * $d1 + $over * $e1 > 0.0)
                || ($isFlying
                    ? $y1 < self::CLEAR && ($y1 < 0.0 || ($y1 + $y < self::CLEAR && $w < 0.0)) : $seat * $y1 + $seatOver * $w1 >= 0.0)
            ) {
                $this->isChanging = true;
                $this->nextY = $y1;
                $this->nextW = $w1;
                break;
            }
            if ($s1 > 0.0) {
                ++$asking;
                $parts = $parts || ($d1 < 0.0 && $bend[$node + 1] < 0.0);
                if ($e0 < 0.0 && $e1 >= 0.0) {
                    $this->gap = max($this->gap, -self::turningPoint($d0, $e0, $d1, $e1));
                }
            }
            if ($w > 0.0 && $w1 <= 0.0) {
                $this->noteTop(self::turningPoint($y, $w, $y1, $w1));
            }
            $y = $y1;
            $w = $w1;
            $d0 = $d1;
            $e0 = $e1;
            ++$node;
        }
        // On the base circle the lobe asks for nothing; where it has all but rung out on its seat, that is looked at more closely.
        $quiet = $isFlying ? 0.0 : $this->quiet;
        while ($node >= $last && $node < $round && abs($y - $this->rest) + abs($w) >= $quiet) {
            $y1 = $a * $y + $b * $w + $x;
            $w1 = $c * $y + $d * $w + $v;
            if (
                $y1 < -$lash
                || ($isFlying
                    ? $y1 < self::CLEAR && ($y1 < 0.0 || ($y1 + $y < self::CLEAR && $w < 0.0)) : $seat * $y1 + $seatOver * $w1 >= 0.0)
            ) {
                $this->isChanging = true;
                $this->nextY = $y1;
                $this->nextW = $w1;
                break;
            }
            if ($w > 0.0 && $w1 <= 0.0) {
                $this->noteTop(self::turningPoint($y, $w, $y1, $w1));
            }
            $y = $y1;
            $w = $w1;
            $d0 = -$lash - $y;
            $e0 = -$w;
            ++$node;
        }
        $this->y = $y;
        $this->w = $w;
        $this->lost += $isFlying ? $asking : 0;
        $this->partsOverNose = $this->partsOverNose || $parts;
        $this->force = $stiffness * $d0 + $over * $e0;
        $this->forceBefore = 0.0;

        return $node;
    }

    protected function series(float $y, float $w, int $mode, array $powers): array
    {
        $of = $this->modes[$mode] ??= $this->mode($mode);
        $kappa = $of[18];
        $gamma = $of[19];
        $f0 = $of[20];
        [$s0, $s1, $s2, $s3, $s4, $s5] = $powers;
        // The lobe presses with a quintic: six terms follow from it, the others from these.
        $f1 = $f2 = $f3 = $f4 = $f5 = 0.0;
        if (($mode & self::AT_LOBE) !== 0) {
            $alpha = $of[21];
            $beta = $of[22];
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

    protected function inside(): array
    {
        return [];
    }

    protected function bendOf(float $y, float $w, int $node, int $mode): float
    {
        $of = $this->modes[$mode];

        return $of[20] + $of[21] * ($this->asked[$node] ?? -$this->lash) + $of[22] * ($this->slope[$node] ?? 0.0)
            - $of[19] * $w - $of[18] * $y;
    }

    /**
     * The coefficients of a mode: transition matrix, constant, response to the six figures of the lobe's cell; then what the series
     * needs: stiffness, damping, constant, and what the lobe's lift and slope press with.
     *
     * @return non-empty-list<float>
     */
    private function mode(int $mode): array
    {
        $train = $this->train;
        [$isHeld, $isSeated] = [($mode & self::AT_LOBE) !== 0, ($mode & self::AT_SEAT) !== 0];
        [$from, $load, $rate] = $train->spring->pieces[$mode >> self::PIECE];
        $perMass = $this->cell ** 2 / $train->mass;
        $kappa = $perMass * ($rate + ($isHeld ? $train->stiffness : 0.0) + ($isSeated ? $train->seatStiffness : 0.0));
        $gamma = $perMass * (
            $this->springDamping / $this->cell + ($isHeld ? $this->dampingOverCell : 0.0) + ($isSeated ? $this->seatDampingOverCell : 0.0)
        );
        $constant = -$perMass * ($load - $rate * $from);
        $alpha = $isHeld ? $perMass * $train->stiffness : 0.0;
        $beta = $isHeld ? $perMass * $this->dampingOverCell : 0.0;
        // Responses to forcings that grow with a power: the slope of each is the one before, so all follow from the last two. What does
        // not touch the lobe is pressed by a constant alone.
        if ($isHeld) {
            [$p5, $p4] = self::responses(5, $kappa, $gamma);
            $p3 = (1.0 - 5.0 * $gamma * $p4 - $kappa * $p5) / 20.0;
            $p2 = (1.0 - 4.0 * $gamma * $p3 - $kappa * $p4) / 12.0;
            $p1 = (1.0 - 3.0 * $gamma * $p2 - $kappa * $p3) / 6.0;
            $p0 = (1.0 - 2.0 * $gamma * $p1 - $kappa * $p2) / 2.0;
        } else {
            [$p1, $p0] = self::responses(1, $kappa, $gamma);
            $p2 = $p3 = $p4 = $p5 = 0.0;
        }
        $rate0 = 1.0 - $gamma * $p0 - $kappa * $p1;

        return [
            1.0 - $kappa * $p0, $rate0, -$kappa * $rate0, 1.0 - $gamma * $rate0 - $kappa * $p0, $constant * $p0, $constant * $rate0,
            ...self::byFigures(
                $alpha * $p0, $alpha * $p1 + $beta * $p0, $alpha * $p2 + 2.0 * $beta * $p1, $alpha * $p3 + 3.0 * $beta * $p2,
                $alpha * $p4 + 4.0 * $beta * $p3, $alpha * $p5 + 5.0 * $beta * $p4,
            ),
            ...self::byFigures(
                $alpha * $rate0, $alpha * $p0 + $beta * $rate0, 2.0 * ($alpha * $p1 + $beta * $p0),
                3.0 * ($alpha * $p2 + 2.0 * $beta * $p1), 4.0 * ($alpha * $p3 + 3.0 * $beta * $p2),
                5.0 * ($alpha * $p4 + 4.0 * $beta * $p3),
            ),
            $kappa, $gamma, $constant, $alpha, $beta,
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
