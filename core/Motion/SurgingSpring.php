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
    private const MOST_TURNS = 30;
    /** Share of the seat load that a swinging spring may take off a shut valve which is said to stay shut. */
    private const SHUT = 0.4;

    /** @var non-empty-list<float> */
    private array $springSeries = [0.0];
    /** @var array<int, array{float, float, float, float, float, float, float, float, float, float, float}> by mode */
    private array $terms = [];
    /** Of the spring by itself, radians a cell. */
    private float $swing;
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
        $this->swing = sqrt($this->springStiffness / $this->springMass);
        $this->quietSwing = self::SHUT * $train->spring->seatLoad() / ($this->coupling * ($this->swing / $this->cell) ** 2) / M_SQRT2;
        $this->quietSwingSlope = $this->quietSwing * $this->swing;
    }

    protected function mostTurns(): int
    {
        return self::MOST_TURNS;
    }

    protected function series(float $y, float $w, int $mode): array
    {
        $powers = [$this->c0, $this->c1, $this->c2, $this->c3, $this->c4, $this->c5];
        [$series, $this->springSeries] = $this->expand($y, $w, $this->q, $this->r, $mode, $this->pressing($mode, $powers));
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
        return $this->ringsOut($cells) && sqrt($this->q ** 2 + ($this->r / $this->swing) ** 2) < $this->quietSwing * M_SQRT2;
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

    protected function bendOf(float $y, float $w, int $node, int $mode): float
    {
        [$onY, $onW, $onQ, $onR, , , , , $constant, $alpha, $beta] = $this->terms[$mode] ??= $this->termsOf($mode);
        // At the end of a leap the spring is where it came to.
        [$q, $r] = $y === $this->nextY ? [$this->nextQ, $this->nextR] : [$this->q, $this->r];

        return $constant + $alpha * $this->asked[$node] + $beta * $this->slope[$node] + $onY * $y + $onW * $w + $onQ * $q + $onR * $r;
    }

    /**
     * What the valve is accelerated by, over a cell: by its lift and slope, and by the spring's swing and its slope; the same of the
     * spring; a constant, and what the lobe's lift and slope press the valve with. Either mass moves the other.
     *
     * @return array{float, float, float, float, float, float, float, float, float, float, float}
     */
    private function termsOf(int $mode): array
    {
        $train = $this->train;
        [$isHeld, $isSeated] = [($mode & self::AT_LOBE) !== 0, ($mode & self::AT_SEAT) !== 0];
        [$from, $load, $rate] = $train->spring->pieces[$mode >> self::PIECE];
        $square = $this->cell ** 2;
        $stiffness = $square * ($rate + ($isHeld ? $train->stiffness : 0.0) + ($isSeated ? $train->seatStiffness : 0.0));
        $damping = $this->valveDamping
            + $square * (($isHeld ? $this->dampingOverCell : 0.0) + ($isSeated ? $this->seatDampingOverCell : 0.0));
        [$own, $other] = [$this->springMass / $this->both, $this->coupling / $this->both];
        $springs = $train->mass / $this->both;

        return [
            -$own * $stiffness, -$own * $damping, $other * $this->springStiffness, $other * $this->springDamping,
            $other * $stiffness, $other * $damping, -$springs * $this->springStiffness, -$springs * $this->springDamping,
            -$own * $square * ($load - $rate * $from), $isHeld ? $own * $square * $train->stiffness : 0.0,
            $isHeld ? $own * $square * $this->dampingOverCell : 0.0,
        ];
    }

    /**
     * What presses the valve, by power: a constant, and the lobe with a quintic.
     *
     * @param array<int, float> $powers of the lift that is asked, six of them
     *
     * @return non-empty-list<float>
     */
    private function pressing(int $mode, array $powers, float $times = 1.0): array
    {
        [8 => $constant, 9 => $alpha, 10 => $beta] = $this->terms[$mode] ??= $this->termsOf($mode);
        [$s0, $s1, $s2, $s3, $s4, $s5] = $powers;

        return [
            $times * $constant + $alpha * $s0 + $beta * $s1, $alpha * $s1 + 2.0 * $beta * $s2, $alpha * $s2 + 3.0 * $beta * $s3,
            $alpha * $s3 + 4.0 * $beta * $s4, $alpha * $s4 + 5.0 * $beta * $s5, $alpha * $s5,
        ];
    }

    /**
     * @param non-empty-list<float> $forcing on the valve, by power
     *
     * @return array{non-empty-list<float>, non-empty-list<float>} power series of the valve and of its spring
     */
    private function expand(float $y, float $w, float $q, float $r, int $mode, array $forcing): array
    {
        [$onY, $onW, $onQ, $onR, $toY, $toW, $toQ, $toR] = $this->terms[$mode] ??= $this->termsOf($mode);
        $passedOn = -$this->coupling / $this->springMass;
        $valve = [$y, $w];
        $spring = [$q, $r];
        $least = self::LEAST_TERMS - 1;
        for ($n = 1; $n < self::TERMS && ($n < $least || abs($y) + abs($w) + abs($q) + abs($r) > self::NOTHING); ++$n) {
            $force = $forcing[$n - 1] ?? 0.0;
            $share = $n * ($n + 1.0);
            $nextY = ($force + $onY * $y + $onQ * $q + $n * ($onW * $w + $onR * $r)) / $share;
            $nextQ = ($passedOn * $force + $toY * $y + $toQ * $q + $n * ($toW * $w + $toR * $r)) / $share;
            $valve[] = $nextY;
            $spring[] = $nextQ;
            $y = $w;
            $q = $r;
            $w = $nextY;
            $r = $nextQ;
        }

        return [$valve, $spring];
    }

    protected function leapOf(int $mode): array
    {
        $nothing = [0.0, 0.0, 0.0, 0.0, 0.0, 0.0];
        $columns = [];
        foreach ([[1.0, 0.0, 0.0, 0.0], [0.0, 1.0, 0.0, 0.0], [0.0, 0.0, 1.0, 0.0], [0.0, 0.0, 0.0, 1.0]] as $state) {
            $columns[] = $this->endOf($state, $mode, $nothing);
        }
        $columns[] = $this->endOf([0.0, 0.0, 0.0, 0.0], $mode, $this->pressing($mode, $nothing));
        foreach (($mode & self::AT_LOBE) === 0 ? [] : LobeCurve::POWERS as $shape) {
            $columns[] = $this->endOf([0.0, 0.0, 0.0, 0.0], $mode, $this->pressing($mode, $shape, 0.0));
        }

        return [array_column($columns, 0), array_column($columns, 1), array_column($columns, 2), array_column($columns, 3)];
    }

    /**
     * @param non-empty-list<float> $series
     *
     * @return array{float, float} value and slope
     */
    private static function state(array $series, float $at): array
    {
        $value = $slope = 0.0;
        $n = count($series);
        while (--$n >= 0) {
            $slope = $slope * $at + $value;
            $value = $value * $at + $series[$n];
        }

        return [$value, $slope];
    }

    /**
     * @param array{float, float, float, float} $state
     * @param non-empty-list<float> $forcing
     *
     * @return array{float, float, float, float}
     */
    private function endOf(array $state, int $mode, array $forcing): array
    {
        [$valve, $spring] = $this->expand($state[0], $state[1], $state[2], $state[3], $mode, $forcing);

        return [...self::state($valve, 1.0), ...self::state($spring, 1.0)];
    }
}
