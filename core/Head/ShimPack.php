<?php

declare(strict_types=1);

namespace MuteTapper\Core\Head;

use MuteTapper\Core\Knowledge\ShimStock;

/** Shims of a shop's stock laid together: the fewest that come near enough to what is needed, and of these the nearest. */
final readonly class ShimPack
{
    private const ROUNDING = 1e-9;

    /** @param list<float> $shims thickest first, in metres */
    private function __construct(public array $shims)
    {
    }

    /**
     * @param float $needed in metres
     *
     * @return self|null null where nothing of the stock comes near enough
     */
    public static function reaching(float $needed, ShimStock $stock): ?self
    {
        for ($count = 0; $count <= $stock->most; ++$count) {
            $best = null;
            foreach (self::packs($count, $stock->thicknesses) as $pack) {
                $off = abs(array_sum($pack) - $needed);
                $isNearer = $best === null || $off < abs(array_sum($best) - $needed) - self::ROUNDING;
                if ($off <= $stock->tolerance + self::ROUNDING && $isNearer) {
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
     * @param list<float> $stock thickest first
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
