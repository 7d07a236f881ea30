<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

/**
 * The room between the heads of an intake and an exhaust valve that share a chamber, while both are open. Their axes lie in one plane and
 * lean towards each other at the piston; each head is the line of its face in that plane. [own]: plane geometry. Metres and degrees.
 */
final readonly class ValvePair
{
    /**
     * @param float $apart gap between the edges of both heads, shut
     * @param array{float, float} $across diameters of the heads of intake and exhaust
     * @param array{float, float} $leans of their axes towards each other, from the line that halves the chamber
     * @param float $level added to every gap: what a measured one says beyond the computed
     */
    private function __construct(
        private ValveLift $intake,
        private ValveLift $exhaust,
        private float $apart,
        private array $across,
        private array $leans,
        private float $level,
    ) {
    }

    /**
     * @param array{float, float} $across
     * @param array{float, float} $leans
     */
    public static function of(ValveLift $intake, ValveLift $exhaust, float $apart, array $across, array $leans): self
    {
        return new self($intake, $exhaust, $apart, $across, $leans, 0.0);
    }

    /** The same with its level fixed by a gap measured while the cams stood so early. */
    public function measured(float $gap, float $intakeEarly, float $exhaustEarly): self
    {
        return new self(
            $this->intake, $this->exhaust, $this->apart, $this->across, $this->leans,
            $this->level + $gap - $this->nearest($intakeEarly, $exhaustEarly)[1],
        );
    }

    /** The gap at a crank degree after top dead centre; below nothing where the heads would stand in each other. */
    public function at(float $degree, float $intakeEarly = 0.0, float $exhaustEarly = 0.0): float
    {
        $left = self::face(-1, $this->apart, $this->across[0], $this->leans[0], $this->intake->at($degree, $intakeEarly));
        $right = self::face(1, $this->apart, $this->across[1], $this->leans[1], $this->exhaust->at($degree, $exhaustEarly));
        $gap = INF;
        foreach ([[$left, $right], [$right, $left]] as [$one, $other]) {
            foreach ($one as $edge) {
                $gap = min($gap, self::distance($edge, ...$other));
            }
        }

        return ($gap > 0.0 && self::cross($left, $right) ? -$gap : $gap) + $this->level;
    }

    /** @return array{float, float} crank degrees after top dead centre at which they are nearest, and the gap there */
    public function nearest(float $intakeEarly = 0.0, float $exhaustEarly = 0.0): array
    {
        return AboutOverlap::nearest(fn (float $degree): float => $this->at($degree, $intakeEarly, $exhaustEarly));
    }

    /**
     * The face of an open valve, from its inner edge to its outer one: across, and down into the cylinder.
     *
     * @param int $side −1 for the valve on the left
     *
     * @return array{array{float, float}, array{float, float}}
     */
    private static function face(int $side, float $apart, float $across, float $lean, float $lift): array
    {
        [$sin, $cos] = [sin(deg2rad($lean)), cos(deg2rad($lean))];
        $inner = [$side * ($apart / 2 - $lift * $sin), $lift * $cos];

        return [$inner, [$inner[0] + $side * $across * $cos, $inner[1] + $across * $sin]];
    }

    /**
     * From a point to the line between two.
     *
     * @param array{float, float} $point
     * @param array{float, float} $from
     * @param array{float, float} $to
     */
    private static function distance(array $point, array $from, array $to): float
    {
        [$x, $y] = [$to[0] - $from[0], $to[1] - $from[1]];
        $share = max(0.0, min(1.0, (($point[0] - $from[0]) * $x + ($point[1] - $from[1]) * $y) / ($x ** 2 + $y ** 2)));

        return hypot($point[0] - $from[0] - $share * $x, $point[1] - $from[1] - $share * $y);
    }

    /**
     * Whether two lines stand in each other.
     *
     * @param array{array{float, float}, array{float, float}} $one
     * @param array{array{float, float}, array{float, float}} $other
     */
    private static function cross(array $one, array $other): bool
    {
        return self::side($one, $other[0]) * self::side($one, $other[1]) < 0.0
            && self::side($other, $one[0]) * self::side($other, $one[1]) < 0.0;
    }

    /**
     * On which side of a line a point lies.
     *
     * @param array{array{float, float}, array{float, float}} $line
     * @param array{float, float} $point
     */
    private static function side(array $line, array $point): float
    {
        return ($line[1][0] - $line[0][0]) * ($point[1] - $line[0][1]) - ($line[1][1] - $line[0][1]) * ($point[0] - $line[0][0]);
    }
}
