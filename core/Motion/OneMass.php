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
        [$y, $w] = [$this->y, $this->w];
        $this->nextY = $of[0] * $y + $of[1] * $w + $of[4];
        $this->nextW = $of[2] * $y + $of[3] * $w + $of[5];
        if (($mode & self::AT_LOBE) !== 0) {
            [$s0, $p0, $a0] = [$this->lift[$node] ?? 0.0, $this->slope[$node] ?? 0.0, $this->bend[$node] ?? 0.0];
            [$s1, $p1, $a1] = [$this->lift[$node + 1] ?? 0.0, $this->slope[$node + 1] ?? 0.0, $this->bend[$node + 1] ?? 0.0];
            $this->nextY += $of[6] * $s0 + $of[7] * $p0 + $of[8] * $a0 + $of[9] * $s1 + $of[10] * $p1 + $of[11] * $a1;
            $this->nextW += $of[12] * $s0 + $of[13] * $p0 + $of[14] * $a0 + $of[15] * $s1 + $of[16] * $p1 + $of[17] * $a1;
        }
    }

    protected function glide(int $node, int $mode): int
    {
        [$a, $b, $c, $d, $x, $v, $gx0, $gx1, $gx2, $gx3, $gx4, $gx5, $gv0, $gv1, $gv2, $gv3, $gv4, $gv5]
            = $this->modes[$mode] ??= $this->mode($mode);
        [$lift, $slope, $bend, $last] = [$this->lift, $this->slope, $this->bend, $this->lastNode];
        [$stiffness, $over] = [$this->stiffness, $this->dampingOverCell];
        [$perLift, $perSlope, $atLash] = [$stiffness * $this->ratio, $over * $this->ratio, $stiffness * $this->lash];
        [$seat, $seatOver] = [$this->seatStiffness, $this->seatDampingOverCell];
        [$isSeated, $watched] = [$mode !== self::AT_LOBE, $this->watchedUntil];
        [$y, $w, $f0, $before, $peak] = [$this->y, $this->w, $this->force, $this->forceBefore, $this->peak];
        [$s0, $p0, $a0] = [$lift[$node], $slope[$node], $bend[$node]];
        $least = self::LOW * $peak;
        while ($node < $last) {
            $s1 = $lift[$node + 1];
            $p1 = $slope[$node + 1];
            $a1 = $bend[$node + 1];
            $y1 = $a * $y + $b * $w + $x + $gx0 * $s0 + $gx1 * $p0 + $gx2 * $a0 + $gx3 * $s1 + $gx4 * $p1 + $gx5 * $a1;
            $w1 = $c * $y + $d * $w + $v + $gv0 * $s0 + $gv1 * $p0 + $gv2 * $a0 + $gv3 * $s1 + $gv4 * $p1 + $gv5 * $a1;
            $f1 = $perLift * $s1 + $perSlope * $p1 - $atLash - $stiffness * $y1 - $over * $w1;
            // Near to a change of contact, at a top of the lift or of the force, or ringing: that is looked at more closely.
            if (
                $f1 < $least || $node < $watched || ($isSeated ? $seat * $y1 + $seatOver * $w1 >= 0.0 : $y1 < self::CLEAR)
                || ($w > 0.0 && $w1 <= 0.0) || ($f1 < $f0 && $f0 >= $before && $f0 > self::TOP * $peak)
            ) {
                $this->peak = $peak;
                if ($node < $watched && max($f0, $f1) > self::NEAR_PEAK * $peak) {
                    break;
                }
                if (!$this->holds($mode, $node, $y, $w, $y1, $w1, 0.0, $f0, $f1)) {
                    break;
                }
                $this->forceBefore = $before;
                $this->notePeak($f0, $f1);
                $peak = $this->peak;
                if ($w > 0.0 && $w1 <= 0.0) {
                    $this->noteTop(self::turningPoint($y, $w, $y1, $w1));
                }
                $least = self::LOW * $peak;
            } elseif ($f1 > $peak) {
                $peak = $f1;
                $least = self::LOW * $peak;
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
        [$lift, $slope, $bend, $last] = [$this->lift, $this->slope, $this->bend, $this->lastNode];
        [$ratio, $lash, $stiffness, $over] = [$this->ratio, $this->lash, $this->stiffness, $this->dampingOverCell];
        [$seat, $seatOver, $isFlying] = [$this->seatStiffness, $this->seatDampingOverCell, $mode === 0];
        [$y, $w, $lost] = [$this->y, $this->w, 0];
        $d0 = $ratio * ($lift[$node] ?? 0.0) - $lash - $y;
        $e0 = $ratio * ($slope[$node] ?? 0.0) - $w;
        while ($node < $last) {
            $y1 = $a * $y + $b * $w + $x;
            $w1 = $c * $y + $d * $w + $v;
            $asked = $ratio * $lift[$node + 1] - $lash;
            $d1 = $asked - $y1;
            $e1 = $ratio * $slope[$node + 1] - $w1;
            // It meets the lobe, or the seat, or leaves it: that is looked at more closely.
            if (
                ($d1 > 0.0 && $stiffness * $d1 + $over * $e1 > 0.0)
                || ($isFlying ? $y1 < 0.0 || ($y1 + $y < self::CLEAR && $w < 0.0) : $seat * $y1 + $seatOver * $w1 >= 0.0)
            ) {
                break;
            }
            if ($asked > 0.0) {
                $lost += $isFlying ? 1 : 0;
                $this->partsOverNose = $this->partsOverNose || ($d1 < 0.0 && $bend[$node + 1] < 0.0);
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
                || ($isFlying ? $y1 < 0.0 || ($y1 + $y < self::CLEAR && $w < 0.0) : $seat * $y1 + $seatOver * $w1 >= 0.0)
            ) {
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
        $this->lost += $lost;
        $this->force = $stiffness * $d0 + $over * $e0;
        $this->forceBefore = 0.0;

        return $node;
    }

    protected function series(float $y, float $w, int $mode, array $powers): array
    {
        $of = $this->modes[$mode] ??= $this->mode($mode);
        [$kappa, $gamma, $constant, $alpha, $beta] = [$of[18], $of[19], $of[20], $of[21], $of[22]];
        $forcing = [$constant, 0.0, 0.0, 0.0, 0.0, 0.0];
        if (($mode & self::AT_LOBE) !== 0) {
            [$s0, $s1, $s2, $s3, $s4, $s5] = $powers;
            $forcing = [
                $constant + $alpha * $s0 + $beta * $s1, $alpha * $s1 + 2 * $beta * $s2, $alpha * $s2 + 3 * $beta * $s3,
                $alpha * $s3 + 4 * $beta * $s4, $alpha * $s4 + 5 * $beta * $s5, $alpha * $s5,
            ];
        }
        $series = [$y, $w];
        [$before, $now, $n] = [$y, $w, 1.0];
        foreach ($forcing as $force) {
            $next = ($force - $gamma * $n * $now - $kappa * $before) / ($n * ($n + 1.0));
            $series[] = $next;
            $before = $now;
            $now = $next;
            $n += 1.0;
        }
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
        [$kappa, $gamma, $constant, $alpha, $beta] = [$of[18], $of[19], $of[20], $of[21], $of[22]];

        return $constant + $alpha * ($this->lift[$node] ?? 0.0) + $beta * ($this->slope[$node] ?? 0.0) - $gamma * $w - $kappa * $y;
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
        $constant = -$perMass * ($load - $rate * $from + ($isHeld ? $train->stiffness * $train->lash : 0.0));
        $alpha = $isHeld ? $perMass * $train->stiffness * $train->ratio : 0.0;
        $beta = $isHeld ? $perMass * $this->dampingOverCell * $train->ratio : 0.0;
        // Responses to forcings that grow with a power: the slope of each is the one before, so all follow from the last two.
        $power = [4 => self::response(4, $kappa, $gamma), 5 => self::response(5, $kappa, $gamma)];
        for ($j = 3; $j >= 0; --$j) {
            $power[$j] = (1.0 - $gamma * ($j + 2) * $power[$j + 1] - $kappa * $power[$j + 2]) / (($j + 1) * ($j + 2));
        }
        $power[-1] = 1.0 - $gamma * $power[0] - $kappa * $power[1];
        $slopes = [$power[-1], $power[0], 2 * $power[1], 3 * $power[2], 4 * $power[3], 5 * $power[4]];
        $bends = [0.0, $power[-1], 2 * $power[0], 6 * $power[1], 12 * $power[2], 20 * $power[3]];
        $gx = $gv = [0.0, 0.0, 0.0, 0.0, 0.0, 0.0];
        if ($isHeld) {
            $x = [$alpha * $power[0]];
            $v = [$alpha * $slopes[0]];
            for ($j = 1; $j < 6; ++$j) {
                $x[] = $alpha * $power[$j] + $beta * $slopes[$j];
                $v[] = $alpha * $slopes[$j] + $beta * $bends[$j];
            }
            [$gx, $gv] = [self::byFigures($x), self::byFigures($v)];
        }

        return [
            1.0 - $kappa * $power[0], $power[-1], -$kappa * $power[-1], 1.0 - $gamma * $power[-1] - $kappa * $power[0],
            $constant * $power[0], $constant * $power[-1], ...$gx, ...$gv, $kappa, $gamma, $constant, $alpha, $beta,
        ];
    }

    /**
     * What answers to the powers of a lobe’s cell, by the six figures that these follow from: lift, slope and bend at either node.
     *
     * @param list<float> $by power
     *
     * @return array{float, float, float, float, float, float}
     */
    private static function byFigures(array $by): array
    {
        [$c0, $c1, $c2, $c3, $c4, $c5] = $by;
        $rise = 10 * $c3 - 15 * $c4 + 6 * $c5;

        return [
            $c0 - $rise, $c1 - 6 * $c3 + 8 * $c4 - 3 * $c5, 0.5 * $c2 - 1.5 * $c3 + 1.5 * $c4 - 0.5 * $c5,
            $rise, -4 * $c3 + 7 * $c4 - 3 * $c5, 0.5 * $c3 - $c4 + 0.5 * $c5,
        ];
    }

    /** Where a cell ends that began at rest and is pressed by a forcing that grows with this power. */
    private static function response(int $power, float $kappa, float $gamma): float
    {
        [$before, $now, $n] = [0.0, 1.0 / (($power + 1) * ($power + 2)), $power + 2.0];
        $end = $now;
        $nothing = self::NOTHING;
        while ($n < self::TERMS && ($now > $nothing || $now < -$nothing || $before > $nothing || $before < -$nothing)) {
            $next = -($gamma * $n * $now + $kappa * $before) / ($n * ($n + 1.0));
            $end += $next;
            $before = $now;
            $now = $next;
            $n += 1.0;
        }

        return $end;
    }
}
