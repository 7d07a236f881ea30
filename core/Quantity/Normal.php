<?php

declare(strict_types=1);

namespace MuteTapper\Core\Quantity;

/** The standard normal distribution. */
final class Normal
{
    /** Beyond it fewer terms of the fraction reach the same digits. */
    private const FAR = 7.0;
    /** Beyond it what is left of 1 is less than its last digit. */
    private const WHOLE = 8.3;

    /**
     * P(Z ≤ z), to about 1e-14: the series in odd powers near the middle, the continued fraction of Mills' ratio in the
     * tails [pub: Abramowitz & Stegun 26.2.10, 26.2.14, from memory; checked against SciPy in tests/outside].
     */
    public static function below(float $z): float
    {
        if (!is_finite($z)) {
            return $z > 0 ? 1.0 : 0.0;
        }
        if ($z > self::WHOLE) {
            return 1.0;
        }
        $density = self::density($z);
        if (abs($z) < 4) {
            $term = $sum = $z;
            for ($k = 1; $k < 200 && abs($term) > 1e-17 * abs($sum); ++$k) {
                $term *= $z * $z / (2 * $k + 1);
                $sum += $term;
            }

            return 0.5 + $sum * $density;
        }
        $x = abs($z);
        $fraction = 0.0;
        for ($k = $x < self::FAR ? 60 : 20; $k >= 1; --$k) {
            $fraction = $k / ($x + $fraction);
        }
        $tail = $density / ($x + $fraction);

        return $z > 0 ? 1 - $tail : $tail;
    }

    public static function density(float $z): float
    {
        return exp(-$z * $z / 2) / sqrt(2 * M_PI);
    }
}
