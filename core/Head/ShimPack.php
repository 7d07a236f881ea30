<?php

declare(strict_types=1);

namespace MuteTapper\Core\Head;

/** Shims of a shop's stock laid together: the fewest that come near enough to what is needed, and of these the nearest. */
final readonly class ShimPack
{
    /** Thicknesses that shops keep, in metres: 0.015, 0.030 and 0.060 in. [practice] */
    public const USUAL_STOCK = [0.000381, 0.000762, 0.001524];
    /** A height is set to this much, in metres: 0.005 in. [practice] */
    public const TOLERANCE = 0.000127;
    /** No shop lays more than so many under one spring. [practice] */
    private const MOST = 6;
    private const ROUNDING = 1e-9;

    /** @param list<float> $shims thickest first, in metres */
    private function __construct(public array $shims)
    {
    }

    /**
     * @param float $needed in metres
     * @param list<float> $stock thicknesses, each in any number
     *
     * @return self|null null where nothing of the stock comes near enough
     */
    public static function reaching(float $needed, array $stock = self::USUAL_STOCK, float $tolerance = self::TOLERANCE): ?self
    {
        rsort($stock);
        for ($count = 0; $count <= self::MOST; ++$count) {
            $best = null;
            foreach (self::packs($count, $stock) as $pack) {
                $off = abs(array_sum($pack) - $needed);
                if ($off <= $tolerance + self::ROUNDING && ($best === null || $off < abs(array_sum($best) - $needed) - self::ROUNDING)) {
                    $best = $pack;
                }
            }
            if ($best !== null) {
                return new self($best);
            }
        }

        return null;
    }

    public function thickness(): float
    {
        return array_sum($this->shims);
    }

    /**
     * @param list<float> $stock
     *
     * @return iterable<list<float>> every pack of so many, thickest first
     */
    private static function packs(int $count, array $stock): iterable
    {
        if ($count === 0) {
            yield [];

            return;
        }
        foreach ($stock as $i => $thickness) {
            foreach (self::packs($count - 1, array_slice($stock, $i)) as $thinner) {
                yield [$thickness, ...$thinner];
            }
        }
    }
}
