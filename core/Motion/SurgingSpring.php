<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use function abs;

/**
 * A valve train as one mass whose spring is a rod that swings in its first mode: one mode is within a per cent of three. While the valve
 * is shut the spring swings on by itself, so that one turn acts on the next. [own].
 */
final class SurgingSpring extends ValveMotion
{
    private const MOST_TURNS = 40;
    /** Share of the seat load that a swinging spring may take off a shut valve which is said to stay shut. */
    private const SHUT = 0.4;

    private float $q = 0.0;
    private float $r = 0.0;
    private float $nextQ = 0.0;
    private float $nextR = 0.0;
    /** @var non-empty-list<float> */
    private array $springSeries = [0.0];
    /** @var array<int, non-empty-list<non-empty-list<float>>> by mode */
    private array $modes = [];
    /** @var array<int, array{float, float, float, float, float}> stiffness, damping, constant, what lift and slope press with, by mode */
    private array $terms = [];
    private float $coupling;
    private float $springMass;
    private float $springStiffness;
    private float $springDamping;
    private float $valveDamping;
    /** Mass times mass less coupling squared. */
    private float $both;

    protected function lightest(): float
    {
        return $this->train->mass - 2 * $this->train->springMass / M_PI ** 2;
    }

    protected function prepare(): void
    {
        $train = $this->train;
        $rate = $train->spring->pieces[0][2];
        $this->coupling = $train->springMass / M_PI;
        $this->springMass = $train->springMass / 2;
        $stiffness = $rate * M_PI ** 2 / 2;
        $this->springStiffness = $this->cell ** 2 * $stiffness;
        $this->springDamping = $this->cell * 2 * $train->surgeDamping * sqrt($stiffness * $this->springMass);
        $this->valveDamping = $this->cell * 2 * $train->springDamping * sqrt($rate * $train->mass);
        $this->both = $train->mass * $this->springMass - $this->coupling ** 2;
    }

    protected function mostTurns(): int
    {
        return self::MOST_TURNS;
    }

    protected function leap(int $node, int $mode): void
    {
        [$a, $b, $c, $d] = $this->modes[$mode] ??= $this->mode($mode);
        $y = $this->y;
        $w = $this->w;
        $q = $this->q;
        $r = $this->r;
        $this->nextY = $a[0] * $y + $a[1] * $w + $a[2] * $q + $a[3] * $r + $a[4];
        $this->nextW = $b[0] * $y + $b[1] * $w + $b[2] * $q + $b[3] * $r + $b[4];
        $this->nextQ = $c[0] * $y + $c[1] * $w + $c[2] * $q + $c[3] * $r + $c[4];
        $this->nextR = $d[0] * $y + $d[1] * $w + $d[2] * $q + $d[3] * $r + $d[4];
        if (($mode & self::AT_LOBE) !== 0) {
            $s0 = $this->asked[$node] ?? -$this->lash;
            $p0 = $this->slope[$node] ?? 0.0;
            $a0 = $this->bend[$node] ?? 0.0;
            $s1 = $this->asked[$node + 1] ?? -$this->lash;
            $p1 = $this->slope[$node + 1] ?? 0.0;
            $a1 = $this->bend[$node + 1] ?? 0.0;
            $this->nextY += $a[5] * $s0 + $a[6] * $p0 + $a[7] * $a0 + $a[8] * $s1 + $a[9] * $p1 + $a[10] * $a1;
            $this->nextW += $b[5] * $s0 + $b[6] * $p0 + $b[7] * $a0 + $b[8] * $s1 + $b[9] * $p1 + $b[10] * $a1;
            $this->nextQ += $c[5] * $s0 + $c[6] * $p0 + $c[7] * $a0 + $c[8] * $s1 + $c[9] * $p1 + $c[10] * $a1;
            $this->nextR += $d[5] * $s0 + $d[6] * $p0 + $d[7] * $a0 + $d[8] * $s1 + $d[9] * $p1 + $d[10] * $a1;
        }
    }

    protected function land(): void
    {
        parent::land();
        $this->q = $this->nextQ;
        $this->r = $this->nextR;
    }

    protected function series(float $y, float $w, int $mode, array $powers): array
    {
        [, , $constant, $alpha, $beta] = $this->termsOf($mode);
        $forcing = [$constant, 0.0, 0.0, 0.0, 0.0, 0.0];
        if ($alpha !== 0.0) {
            foreach ($powers as $j => $power) {
                $forcing[$j] += $alpha * $power + ($j < 5 ? $beta * ($j + 1) * $powers[$j + 1] : 0.0);
            }
        }
        [$series, $this->springSeries] = $this->expand([$y, $w, $this->q, $this->r], $mode, $forcing);
        foreach ($powers as $n => $power) {
            $series[$n] -= $power;
        }

        return $series;
    }

    protected function arrive(float $at): void
    {
        [$this->q, $this->r] = self::state($this->springSeries, $at);
    }

    protected function staysSeated(int $cells): bool
    {
        $swing = sqrt($this->springStiffness / $this->springMass); // radians a cell
        $force = $this->coupling * ($swing / $this->cell) ** 2 * sqrt($this->q ** 2 + ($this->r / $swing) ** 2);

        return $this->ringsOut($cells) && $force < self::SHUT * $this->train->spring->seatLoad();
    }

    /** The spring swings on between two ends that stand still. */
    protected function wait(int $cells): void
    {
        $decay = $this->springDamping / (2 * $this->springMass);
        $swing = sqrt($this->springStiffness / $this->springMass - $decay ** 2);
        [$sin, $cos, $left] = [sin($swing * $cells), cos($swing * $cells), exp(-$decay * $cells)];
        $along = ($this->r + $decay * $this->q) / $swing;
        $q = $left * ($this->q * $cos + $along * $sin);
        $this->r = $left * $swing * ($along * $cos - $this->q * $sin) - $decay * $q;
        $this->q = $q;
    }

    protected function inside(): array
    {
        return [$this->q, $this->r];
    }

    protected function bendOf(float $y, float $w, int $node, int $mode): float
    {
        [$stiffness, $damping, $constant, $alpha, $beta] = $this->termsOf($mode);
        $valve = $constant + $alpha * ($this->asked[$node] ?? -$this->lash) + $beta * ($this->slope[$node] ?? 0.0) - $stiffness * $y - $damping * $w;
        // At the end of a leap the spring is where it came to.
        [$q, $r] = $y === $this->nextY ? [$this->nextQ, $this->nextR] : [$this->q, $this->r];

        return ($this->springMass * $valve + $this->coupling * ($this->springStiffness * $q + $this->springDamping * $r)) / $this->both;
    }

    /** @return array{float, float, float, float, float} stiffness, damping, constant, what the lobe's lift and its slope press with */
    private function termsOf(int $mode): array
    {
        if (isset($this->terms[$mode])) {
            return $this->terms[$mode];
        }
        $train = $this->train;
        [$isHeld, $isSeated] = [($mode & self::AT_LOBE) !== 0, ($mode & self::AT_SEAT) !== 0];
        [$from, $load, $rate] = $train->spring->pieces[$mode >> self::PIECE];
        $square = $this->cell ** 2;

        return $this->terms[$mode] = [
            $square * ($rate + ($isHeld ? $train->stiffness : 0.0) + ($isSeated ? $train->seatStiffness : 0.0)),
            $this->valveDamping + $square * (($isHeld ? $this->dampingOverCell : 0.0) + ($isSeated ? $this->seatDampingOverCell : 0.0)),
            -$square * ($load - $rate * $from),
            $isHeld ? $square * $train->stiffness : 0.0, $isHeld ? $square * $this->dampingOverCell : 0.0,
        ];
    }

    /**
     * @param array{float, float, float, float} $state y, w, q, r
     * @param array<int, float> $forcing on the valve, by power
     *
     * @return array{non-empty-list<float>, non-empty-list<float>} power series of the valve and of its spring
     */
    private function expand(array $state, int $mode, array $forcing): array
    {
        [$stiffness, $damping] = $this->termsOf($mode);
        [$y, $w, $q, $r] = $state;
        $valve = [$y, $w];
        $spring = [$q, $r];
        for ($n = 0; $n < self::TERMS; ++$n) {
            $onValve = ($forcing[$n] ?? 0.0) - $damping * ($n + 1) * $w - $stiffness * $y;
            $onSpring = -$this->springDamping * ($n + 1) * $r - $this->springStiffness * $q;
            $share = $this->both * ($n + 1) * ($n + 2);
            $nextY = ($this->springMass * $onValve - $this->coupling * $onSpring) / $share;
            $nextQ = ($this->train->mass * $onSpring - $this->coupling * $onValve) / $share;
            $valve[] = $nextY;
            $spring[] = $nextQ;
            if ($n > 5 && abs($nextY) + abs($nextQ) + abs($w) + abs($r) < self::NOTHING) {
                break;
            }
            [$y, $w, $q, $r] = [$w, $nextY, $r, $nextQ];
        }

        return [$valve, $spring];
    }

    /**
     * For y, w, q and r at the end of a cell: by what each of them was, a constant, and the six figures of the lobe's cell.
     *
     * @return non-empty-list<non-empty-list<float>>
     */
    private function mode(int $mode): array
    {
        [, , $constant, $alpha, $beta] = $this->termsOf($mode);
        $columns = [];
        foreach ([[1.0, 0.0, 0.0, 0.0], [0.0, 1.0, 0.0, 0.0], [0.0, 0.0, 1.0, 0.0], [0.0, 0.0, 0.0, 1.0]] as $state) {
            $columns[] = $this->endOf($state, $mode, []);
        }
        $columns[] = $this->endOf([0.0, 0.0, 0.0, 0.0], $mode, [$constant]);
        foreach ($alpha === 0.0 ? [] : LobeCurve::POWERS as $shape) {
            $forcing = [];
            foreach ($shape as $j => $factor) {
                $forcing[$j] = $alpha * $factor + ($j < 5 ? $beta * ($j + 1) * $shape[$j + 1] : 0.0);
            }
            $columns[] = $this->endOf([0.0, 0.0, 0.0, 0.0], $mode, $forcing);
        }

        return [array_column($columns, 0), array_column($columns, 1), array_column($columns, 2), array_column($columns, 3)];
    }

    /**
     * @param array{float, float, float, float} $state
     * @param array<int, float> $forcing
     *
     * @return array{float, float, float, float}
     */
    private function endOf(array $state, int $mode, array $forcing): array
    {
        [$valve, $spring] = $this->expand($state, $mode, $forcing);

        return [...self::state($valve, 1.0), ...self::state($spring, 1.0)];
    }
}
