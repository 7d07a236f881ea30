<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;

/**
 * Load over height of one spring, as swept on a tester: its load at any height, its rate, and the height at which it goes solid. Every
 * result is a weighted sum of loads, so what the loads have in common (the tester's gain) stays common to all that is told from them.
 */
final readonly class Sweep
{
    /** Rates are told over so much height, in metres: 0.050 in. [own] */
    public const OVER = 0.00127;
    /** A load is read off the points within so much height either way, in metres: 0.025 in. [own] */
    private const WITHIN = 0.000635;
    /** Solid is where the load rises so many times faster than the spring does as a whole. [own] */
    private const SOLID = 4.0;
    /** Coils begin to close where the rate is so much above that of the whole. [own] */
    private const CLOSING = 1.15;
    /** A rate that rises by more than this from the first third of the travel to the last is no straight line. [own] */
    private const PROGRESSIVE = 0.05;
    /** Half-width of a tester's height scale, in metres: 0.001 in. [practice] */
    private const HEIGHT_SCALE = 0.0000254;

    /** @var list<float> the greatest first */
    private array $heights;
    /** @var list<Uncertain> */
    private array $loads;

    /**
     * @param list<Uncertain> $heights
     * @param list<Uncertain> $loads by height
     *
     * @throws Contradiction where they are no curve
     */
    public function __construct(array $heights, array $loads)
    {
        if (count($heights) !== count($loads) || count($heights) < 3) {
            throw Contradiction::because('A sweep has a load for each height, three at least.');
        }
        $points = array_map(static fn (Uncertain $height, Uncertain $load): array => [$height->base, $load], $heights, $loads);
        usort($points, static fn (array $one, array $other): int => $other[0] <=> $one[0]);
        $this->heights = array_column($points, 0);
        $this->loads = array_column($points, 1);
        if ($this->heights[0] === $this->heights[count($points) - 1]) {
            throw Contradiction::because('Every point of the sweep has the same height.');
        }
    }

    /**
     * By a straight line through the points around it.
     *
     * @throws Contradiction where it was not swept there
     */
    public function loadAt(Uncertain $height): Uncertain
    {
        $wanted = $height->base;
        $least = $this->heights[count($this->heights) - 1];
        if ($wanted > $this->heights[0] + self::WITHIN || $wanted < $least - self::WITHIN) {
            throw Contradiction::because('The sweep did not go to this height.');
        }
        $around = $this->indexes($wanted - self::WITHIN, $wanted + self::WITHIN, $wanted);
        $around = count($around) < 3 ? $this->nearest($wanted, 3) : $around;
        $line = $this->line($around);

        return $line->at($wanted)->plus($this->offset($height, $line->slope()));
    }

    /** The straight line that fits the points between two heights best: what the spring gains for each unit that it is pressed. */
    public function rateBetween(Uncertain $one, Uncertain $other): Uncertain
    {
        [$low, $high] = [min($one->base, $other->base), max($one->base, $other->base)];
        $between = $this->indexes($low, $high, $high);
        if (count($between) < 3) {
            throw Contradiction::because('The sweep has too few points between these heights.');
        }

        return $this->line($between)->rate();
    }

    /**
     * Where the line of the solid spring meets the line that the spring was on just above.
     *
     * @throws Contradiction where it was not pressed to solid
     */
    public function bindHeight(): Uncertain
    {
        $last = count($this->heights) - 1;
        $first = $this->firstSolid();
        if ($first === null) {
            throw Contradiction::because('The spring was not pressed until it is solid.');
        }
        $step = ($this->heights[0] - $this->heights[$last]) / $last;
        $own = [
            'height scale of the tester' => Uncertain::fromHalfWidth(self::HEIGHT_SCALE),
            'steps of the sweep' => Uncertain::fromHalfWidth($step / 2),
        ];
        if ($first === $last) {
            // One point beyond the corner is no line: it lies between this point and the one before.
            $own['steps of the sweep'] = Uncertain::fromHalfWidth(($this->heights[$last - 1] - $this->heights[$last]) / 2);

            return Uncertain::of(Quantity::base(($this->heights[$last - 1] + $this->heights[$last]) / 2, Dimension::Length), $own);
        }
        $solid = $this->line(range($first, $last));
        $above = $this->indexes($this->heights[$first - 1], $this->heights[$first - 1] + self::OVER, $this->heights[0]);
        $spring = $this->line(count($above) < 3 ? range(max(0, $first - 3), $first - 1) : $above);
        $steeper = $solid->slope() - $spring->slope();
        $meets = ($spring->level() - $solid->level()) / $steeper;
        $apart = $solid->at($meets)->minus($spring->at($meets));

        return $apart->dividedBy(Uncertain::exact(Quantity::base($steeper, Dimension::Stiffness)), Dimension::Length)
            ->shifted(Quantity::difference($meets, Dimension::Length))
            ->plus(Uncertain::of(Quantity::difference(0.0, Dimension::Length), $own));
    }

    /** The height below which coils close one after the other, before all of them lie on each other; null where they do so at once. */
    public function closesBelow(): ?float
    {
        $rates = $this->rates();
        if ($this->isProgressive() || $rates === []) {
            return null;
        }
        $whole = $this->middleRate();
        $closing = null;
        for ($i = count($rates) - 1; $i >= 0 && $rates[$i][1] > self::CLOSING * $whole; --$i) {
            $closing = $rates[$i][0];
        }

        return $closing;
    }

    /** Whether its rate rises over its whole travel: wound progressively, conical, or narrower at its top. */
    public function isProgressive(): bool
    {
        $solid = $this->firstSolid();
        $end = $solid === null ? count($this->heights) : $solid;
        $third = intdiv($end, 3);
        if ($third < 3) {
            return false;
        }
        $first = $this->line(range(0, $third - 1))->rate();
        $last = $this->line(range($end - 2 * $third, $end - $third - 1))->rate();
        $rise = $last->minus($first);

        return $rise->base > max(self::PROGRESSIVE * $first->base, $rise->expanded()->base);
    }

    /** @return list<array{float, float}> height and the rate over 0.050 in around it, down to where the spring is solid */
    public function rates(): array
    {
        $rates = [];
        $from = 0;
        foreach ($this->heights as $to => $height) {
            while ($this->heights[$from] - $height > self::OVER) {
                ++$from;
            }
            if ($from > 0 && $to - $from >= 2) {
                $rates[] = [
                    ($this->heights[$from] + $height) / 2,
                    ($this->loads[$to]->base - $this->loads[$from]->base) / ($this->heights[$from] - $height),
                ];
            }
        }

        return $rates;
    }

    /** @return list<array{float, float}> height and load, the greatest height first */
    public function points(): array
    {
        return array_map(static fn (float $height, Uncertain $load): array => [$height, $load->base], $this->heights, $this->loads);
    }

    /** The first point of those at the end that all lie on the steep line of a solid spring. */
    private function firstSolid(): ?int
    {
        $whole = $this->middleRate();
        $first = null;
        for ($i = count($this->heights) - 1; $i > 0; --$i) {
            $down = $this->heights[$i - 1] - $this->heights[$i];
            $rise = $this->loads[$i]->base - $this->loads[$i - 1]->base;
            if ($down > 0.0 && $rise / $down < self::SOLID * $whole) {
                break;
            }
            $first = $i;
        }

        return $first;
    }

    /** The middle of the rates over short heights: the solid end, and any slip of the tester, do not move it. */
    private function middleRate(): float
    {
        $rates = array_column($this->rates(), 1);
        if ($rates === []) {
            return $this->line(array_keys($this->heights))->rate()->base;
        }
        sort($rates);

        return $rates[intdiv(count($rates), 2)];
    }

    /**
     * @param float $like points of the solid spring are no neighbours of one that is not, and the other way about: those like this one
     *
     * @return list<int> points between two heights
     */
    private function indexes(float $low, float $high, float $like): array
    {
        $rounding = 1e-9;
        $first = $this->firstSolid() ?? count($this->heights);
        $isSolid = ($this->heights[$first] ?? -\INF) >= $like;
        $found = [];
        foreach ($this->heights as $i => $height) {
            if ($height >= $low - $rounding && $height <= $high + $rounding && ($i >= $first) === $isSolid) {
                $found[] = $i;
            }
        }

        return $found;
    }

    /** @return list<int> */
    private function nearest(float $height, int $count): array
    {
        $all = array_keys($this->heights);
        usort($all, fn (int $one, int $other): int => abs($this->heights[$one] - $height) <=> abs($this->heights[$other] - $height));

        return array_slice($all, 0, $count);
    }

    /** @param list<int> $indexes */
    private function line(array $indexes): FittedLine
    {
        return FittedLine::through(
            array_map(fn (int $i): float => $this->heights[$i], $indexes), array_map(fn (int $i): Uncertain => $this->loads[$i], $indexes),
        );
    }

    /** What the uncertainty of a height is worth in load. */
    private function offset(Uncertain $height, float $slope): Uncertain
    {
        return $height->minus(Uncertain::exact($height->quantity()))
            ->times(Uncertain::exact(Quantity::base($slope, Dimension::Stiffness)), Dimension::Force);
    }
}
