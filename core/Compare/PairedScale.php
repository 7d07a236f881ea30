<?php

declare(strict_types=1);

namespace MuteTapper\Core\Compare;

use MuteTapper\Core\Verdict\Bound;

/** Two sides on one scale, as fractions of its length: each from its least over its middle to its most; and where good values end. */
final readonly class PairedScale
{
    /** Free at either end. */
    private const PADDING = 0.08;

    /**
     * @param array{float, float, float} $one least, middle, most
     * @param array{float, float, float} $other
     * @param list<float> $ends
     */
    private function __construct(public array $one, public array $other, public array $ends)
    {
    }

    /** Null where a side is no figure. */
    public static function of(Side $one, Side $other, ?Bound $bound): ?self
    {
        $points = [];
        foreach ([$one, $other] as $side) {
            if ($side->least === null || $side->middle === null || $side->most === null) {
                return null;
            }
            $points[] = [$side->least->base, $side->middle->base, $side->most->base];
        }
        $ends = [];
        foreach ([$bound?->least, $bound?->most] as $end) {
            if ($end !== null) {
                $ends[] = $end->base;
            }
        }
        $all = [...$points[0], ...$points[1], ...$ends];
        $length = max($all) - min($all);
        $at = static fn (float $base): float => $length > 0.0
            ? self::PADDING + (1 - 2 * self::PADDING) * ($base - min($all)) / $length : 0.5;

        return new self(
            [$at($points[0][0]), $at($points[0][1]), $at($points[0][2])], [$at($points[1][0]), $at($points[1][1]), $at($points[1][2])],
            array_map($at, $ends),
        );
    }
}
