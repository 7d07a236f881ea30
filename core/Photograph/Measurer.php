<?php

declare(strict_types=1);

namespace MuteTapper\Core\Photograph;

use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;

/**
 * Measures on a photograph by the scale that was laid on it. Each point is placed to ±2 pixels in either direction,
 * independently [own]; the uncertainty follows to first order [pub: JCGM 100:2008]. Holds in the plane of the scale,
 * square to the camera.
 */
final readonly class Measurer
{
    private const PLACED_TO = 2.0;
    private const STEP = 0.01;

    private function __construct(private ?Annotation $scale)
    {
    }

    public static function by(?Annotation $scale): self
    {
        return new self($scale);
    }

    /** Null where a length is wanted and no scale was laid, or where the points lie so that nothing can be said. */
    public function measure(Annotation $annotation): ?Uncertain
    {
        $points = $annotation->points;

        return match ($annotation->shape) {
            Shape::Length => $this->scaled(static fn (array $p): float => self::distance($p[0], $p[1]), $points),
            Shape::Diameter => self::isFlat($points) ? null : $this->scaled(self::circle(...), $points),
            Shape::Angle => self::distance($points[0], $points[1]) * self::distance($points[2], $points[1]) === 0.0
                ? null
                : self::uncertain(self::angle(...), $points, Dimension::CrankAngle),
            default => null,
        };
    }

    /**
     * @param callable(list<array{float, float}>): float $pixels
     * @param list<array{float, float}> $points
     */
    private function scaled(callable $pixels, array $points): ?Uncertain
    {
        $known = $this->scale?->known;
        if ($this->scale === null || $known === null) {
            return null;
        }
        $length = Uncertain::of($known->quantity(), ['scale' => Uncertain::fromHalfWidth($known->halfLastDigit())]);
        $ofScale = self::uncertain(
            static fn (array $p): float => self::distance($p[0], $p[1]), $this->scale->points, Dimension::Ratio, 'scale ',
        );

        return self::uncertain($pixels, $points, Dimension::Ratio)
            ->times($length, Dimension::Length)->dividedBy($ofScale, Dimension::Length);
    }

    /**
     * @param callable(list<array{float, float}>): float $of
     * @param list<array{float, float}> $points
     */
    private static function uncertain(callable $of, array $points, Dimension $dimension, string $source = ''): Uncertain
    {
        $contributions = [];
        foreach (array_keys($points) as $i) {
            foreach ([0, 1] as $axis) {
                $rise = $of(self::moved($points, $i, $axis, self::STEP)) - $of(self::moved($points, $i, $axis, -self::STEP));
                $name = $source.'point '.$i.($axis === 0 ? ' x' : ' y');
                $contributions[$name] = $rise / (2 * self::STEP) * Uncertain::fromHalfWidth(self::PLACED_TO);
            }
        }

        return Uncertain::of(Quantity::base($of($points), $dimension), $contributions);
    }

    /**
     * @param list<array{float, float}> $points
     *
     * @return list<array{float, float}>
     */
    private static function moved(array $points, int $which, int $axis, float $by): array
    {
        return array_map(
            static fn (array $point, int $i): array => $i !== $which ? $point : [
                $point[0] + ($axis === 0 ? $by : 0.0), $point[1] + ($axis === 1 ? $by : 0.0),
            ],
            $points, array_keys($points),
        );
    }

    /**
     * @param array{float, float} $a
     * @param array{float, float} $b
     */
    private static function distance(array $a, array $b): float
    {
        return hypot($b[0] - $a[0], $b[1] - $a[1]);
    }

    /**
     * Diameter of the circle through three points: product of the sides over twice the area.
     *
     * @param list<array{float, float}> $p
     */
    private static function circle(array $p): float
    {
        return self::distance($p[0], $p[1]) * self::distance($p[1], $p[2]) * self::distance($p[2], $p[0]) / abs(self::twiceArea($p));
    }

    /** @param list<array{float, float}> $p */
    private static function angle(array $p): float
    {
        $first = atan2($p[0][1] - $p[1][1], $p[0][0] - $p[1][0]);
        $second = atan2($p[2][1] - $p[1][1], $p[2][0] - $p[1][0]);
        $angle = abs(rad2deg($first - $second));

        return $angle > 180 ? 360 - $angle : $angle;
    }

    /** @param list<array{float, float}> $p */
    private static function twiceArea(array $p): float
    {
        return ($p[1][0] - $p[0][0]) * ($p[2][1] - $p[0][1]) - ($p[2][0] - $p[0][0]) * ($p[1][1] - $p[0][1]);
    }

    /**
     * Whether three points lie so nearly on a line that a circle through them says nothing.
     *
     * @param list<array{float, float}> $p
     */
    private static function isFlat(array $p): bool
    {
        return abs(self::twiceArea($p)) < 4 * self::PLACED_TO * self::distance($p[0], $p[2])
            || self::distance($p[0], $p[1]) === 0.0
            || self::distance($p[1], $p[2]) === 0.0;
    }
}
