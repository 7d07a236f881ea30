<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

/**
 * Whittaker’s smoother: the curve z that makes Σ w·(z − y)² + λ·Σ(Δ⁴z)² least [pub: Whittaker 1923; Eilers 2003, from memory]. Raw
 * differences of a measured lift are useless: the second derivative is what a valve feels, and noise drowns it.
 */
final readonly class Whittaker
{
    private const ORDER = 4;
    /** Coefficients of the fourth difference. */
    private const DIFFERENCE = [1.0, -4.0, 6.0, -4.0, 1.0];
    /** Powers of ten between which the weight of smoothness is looked for. */
    private const WEIGHTS = [-6.0, 12.0];

    /**
     * So smooth that what is left over has the standard deviation of the noise.
     *
     * @param non-empty-list<float> $y
     * @param non-empty-list<float> $weights 1 where it was measured, 0 where not
     *
     * @return non-empty-list<float>
     */
    public static function toNoise(array $y, array $weights, float $noise): array
    {
        $count = max(1.0, array_sum($weights));
        [$from, $to] = self::WEIGHTS;
        $smooth = self::smooth($y, $weights, 10 ** $from);
        for ($turn = 0; $turn < 40; ++$turn) {
            $middle = ($from + $to) / 2;
            $smooth = self::smooth($y, $weights, 10 ** $middle);
            $left = 0.0;
            foreach ($smooth as $i => $z) {
                $left += $weights[$i] * ($z - $y[$i]) ** 2;
            }
            if (sqrt($left / $count) < $noise) {
                $from = $middle;
            } else {
                $to = $middle;
            }
        }

        return $smooth;
    }

    /**
     * @param non-empty-list<float> $y
     * @param non-empty-list<float> $weights
     *
     * @return non-empty-list<float>
     */
    public static function smooth(array $y, array $weights, float $lambda): array
    {
        $n = count($y);
        // The upper band of W + λ·D′D, by row and distance from the diagonal.
        $band = array_map(static fn (float $weight): array => [$weight, 0.0, 0.0, 0.0, 0.0], $weights);
        for ($row = 0; $row + self::ORDER < $n; ++$row) {
            for ($i = 0; $i <= self::ORDER; ++$i) {
                for ($j = $i; $j <= self::ORDER; ++$j) {
                    $band[$row + $i][$j - $i] += $lambda * self::DIFFERENCE[$i] * self::DIFFERENCE[$j];
                }
            }
        }
        $right = array_map(static fn (float $weight, float $value): float => $weight * $value, $weights, $y);
        // LDLᵀ within the band, then back.
        for ($k = 0; $k < $n; ++$k) {
            $most = min(self::ORDER, $n - 1 - $k);
            for ($i = 1; $i <= $most; ++$i) {
                $factor = $band[$k][$i] / $band[$k][0];
                for ($j = $i; $j <= $most; ++$j) {
                    $band[$k + $i][$j - $i] -= $factor * $band[$k][$j];
                }
                $right[$k + $i] -= $factor * $right[$k];
            }
        }
        for ($k = $n - 1; $k >= 0; --$k) {
            for ($j = 1; $j <= min(self::ORDER, $n - 1 - $k); ++$j) {
                $right[$k] -= $band[$k][$j] * $right[$k + $j];
            }
            $right[$k] /= $band[$k][0];
        }

        return array_values($right);
    }
}
