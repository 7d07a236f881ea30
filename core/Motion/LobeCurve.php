<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

/**
 * The lift of a lobe over its cam angle, whatever it was known from: lift, slope and bend at every cam degree, a quintic between.
 * Lift in metres, angles in cam degrees from the nose, slope in metres a degree, bend in metres a degree squared. Off its ends it is
 * the base circle.
 */
final readonly class LobeCurve
{
    /** Of a quintic over a cell of width one: its powers by lift, slope and bend at the beginning, then at the end. */
    public const POWERS = [
        [1.0, 0.0, 0.0, -10.0, 15.0, -6.0], [0.0, 1.0, 0.0, -6.0, 8.0, -3.0], [0.0, 0.0, 0.5, -1.5, 1.5, -0.5],
        [0.0, 0.0, 0.0, 10.0, -15.0, 6.0], [0.0, 0.0, 0.0, -4.0, 7.0, -3.0], [0.0, 0.0, 0.0, 0.5, -1.0, 0.5],
    ];

    /** They are asked for with every turn of a train. */
    private float $peak;
    private int $peakNode;

    /**
     * @param int $first cam degree of the first node, where the lobe begins
     * @param non-empty-list<float> $lift
     * @param non-empty-list<float> $slope
     * @param non-empty-list<float> $bend
     * @param int $about cam degrees either way over which a bend is told: a measured lobe has what its gauge’s noise left in every one
     */
    private function __construct(
        public int $first,
        public array $lift,
        public array $slope,
        public array $bend,
        private int $about,
    ) {
        $at = (int) array_search(max($lift), $lift, true);
        $peak = $lift[$at];
        foreach ([$at - 1, $at] as $cell) {
            for ($i = 1; $i < 20 && isset($lift[$cell], $lift[$cell + 1]); ++$i) {
                $peak = max($peak, $this->inCell($cell, $i / 20)[0]);
            }
        }
        $this->peak = $peak;
        $this->peakNode = $at;
    }

    /**
     * @param list<array{float, float, float}> $nodes lift, slope and bend, one a degree
     * @param int $about cam degrees either way over which a bend is told; none where the bend is exact
     */
    public static function at(int $first, array $nodes, int $about = 0): self
    {
        return $nodes === [] ? throw new \LogicException('A lobe has a lift.')
            : new self($first, array_column($nodes, 0), array_column($nodes, 1), array_column($nodes, 2), $about);
    }

    /** How sharply the lift bends down at a cam degree, in metres a degree squared: more than nothing over the nose. */
    public function bendsDown(int $degree): float
    {
        return $this->about === 0 ? -$this->of($degree)[2]
            : ($this->of($degree - $this->about)[1] - $this->of($degree + $this->about)[1]) / (2 * $this->about);
    }

    public function last(): int
    {
        return $this->first + count($this->lift) - 1;
    }

    /** Lift at the nose, in metres. */
    public function peak(): float
    {
        return $this->peak;
    }

    /** Cam degree of the node with the greatest lift. */
    public function peakDegree(): int
    {
        return $this->first + $this->peakNode;
    }

    /** @return array{float, float, float} lift, slope and bend at so many cam degrees from the nose */
    public function of(float $angle): array
    {
        $cell = (int) floor($angle) - $this->first;

        return isset($this->lift[$cell], $this->lift[$cell + 1]) ? $this->inCell($cell, $angle - floor($angle)) : [0.0, 0.0, 0.0];
    }

    /**
     * The powers of the quintic of a cell of width one.
     *
     * @return array{float, float, float, float, float, float}
     */
    public static function powers(float $s0, float $v0, float $a0, float $s1, float $v1, float $a1): array
    {
        $rise = $s1 - $s0;

        return [
            $s0, $v0, $a0 / 2, 10 * $rise - 6 * $v0 - 4 * $v1 - 1.5 * $a0 + 0.5 * $a1,
            -15 * $rise + 8 * $v0 + 7 * $v1 + 1.5 * $a0 - $a1, 6 * $rise - 3 * $v0 - 3 * $v1 - 0.5 * $a0 + 0.5 * $a1,
        ];
    }

    /** The third derivative in metres a degree cubed, in the middle of the cell that begins at a node. */
    public function jerk(int $node): float
    {
        return ($this->bend[$node + 1] ?? 0.0) - ($this->bend[$node] ?? 0.0);
    }

    /**
     * How much of each harmonic of the cam’s turn is in the lift, as a share of its greatest.
     *
     * @return array<int, float> by number of the harmonic, from the first
     */
    public function harmonics(int $most): array
    {
        $shares = [];
        $peak = $this->peak();
        for ($n = 1; $n <= $most; ++$n) {
            $cos = $sin = 0.0;
            foreach ($this->lift as $i => $lift) {
                $angle = deg2rad($n * ($this->first + $i));
                $cos += $lift * cos($angle);
                $sin += $lift * sin($angle);
            }
            $shares[$n] = sqrt($cos ** 2 + $sin ** 2) / 180 / $peak;
        }

        return $shares;
    }

    /** The same lobe, every lift of it so many times as great. */
    public function scaled(float $times): self
    {
        $scaled = static fn (float $value): float => $times * $value;

        return new self(
            $this->first, array_map($scaled, $this->lift), array_map($scaled, $this->slope), array_map($scaled, $this->bend),
            $this->about,
        );
    }

    /** The lift that a rocker asks of the valve through a whole turn from where the lobe begins: below nothing where the lash is open. */
    public function overRocker(float $ratio, float $lash): self
    {
        $round = 361;
        $scaled = $this->scaled($ratio);
        $lift = array_map(static fn (float $lift): float => $lift - $lash, $scaled->lift);

        return new self(
            $this->first, array_pad($lift, $round, -$lash), array_pad($scaled->slope, $round, 0.0), array_pad($scaled->bend, $round, 0.0),
            $this->about,
        );
    }

    /** Over a rocker and its lash: the lift that the valve is asked for; nothing where the lash is open. */
    public function atValve(float $angle, float $ratio, float $lash): float
    {
        return max(0.0, $ratio * $this->of($angle)[0] - $lash);
    }

    /**
     * The same curve with so many nodes a degree, its quantities by the width of the finer cell.
     *
     * @return array{non-empty-list<float>, non-empty-list<float>, non-empty-list<float>}
     */
    public function refined(int $parts): array
    {
        if ($parts === 1) {
            return [$this->lift, $this->slope, $this->bend];
        }
        [$lift, $slope, $bend] = [[$this->lift[0]], [$this->slope[0] / $parts], [$this->bend[0] / $parts ** 2]];
        for ($cell = 0, $last = count($this->lift) - 1; $cell < $last; ++$cell) {
            for ($part = 1; $part <= $parts; ++$part) {
                [$s, $v, $a] = $this->inCell($cell, $part / $parts);
                $lift[] = $s;
                $slope[] = $v / $parts;
                $bend[] = $a / $parts ** 2;
            }
        }

        return [$lift, $slope, $bend];
    }

    /** @return array{float, float, float} */
    private function inCell(int $cell, float $x): array
    {
        $next = $cell + 1;
        [$c0, $c1, $c2, $c3, $c4, $c5] = self::powers(
            $this->lift[$cell], $this->slope[$cell], $this->bend[$cell], $this->lift[$next], $this->slope[$next], $this->bend[$next],
        );

        return [
            $c0 + $x * ($c1 + $x * ($c2 + $x * ($c3 + $x * ($c4 + $x * $c5)))),
            $c1 + $x * (2 * $c2 + $x * (3 * $c3 + $x * (4 * $c4 + $x * 5 * $c5))),
            2 * $c2 + $x * (6 * $c3 + $x * (12 * $c4 + $x * 20 * $c5)),
        ];
    }
}
