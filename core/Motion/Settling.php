<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use function abs;
use function count;

/**
 * Where a motion settles that comes nearer to it by much the same share each turn: what its steps add up to, if each follows from the two
 * before it as the last did. Minimal polynomial extrapolation of degree two (S. Cabay and L. W. Jackson, SIAM J. Numer. Anal. 13, 1976):
 * a swing that dies away is of that degree. Whoever asks goes on from there and sees whether it is so.
 */
final class Settling
{
    /** The steps of such a motion die away, and this surely: what is left of one after a turn, at most. */
    private const SURELY = 0.95;

    /** @var list<non-empty-list<float>> */
    private array $steps = [];

    /** A turn after which nothing follows from those before. */
    public function anew(): void
    {
        $this->steps = [];
    }

    /**
     * @param non-empty-list<float> $step what a turn has changed
     *
     * @return list<float> what the turns to come will change, altogether; empty as long as that is not plain
     */
    public function toCome(array $step): array
    {
        $this->steps[] = $step;
        if (count($this->steps) < 3) {
            return [];
        }
        [$first, $second, $third] = $this->steps;
        $this->steps = [];
        // The third is so many times the second and so many times the first, by least squares.
        [$ofSecond, $ofFirst] = self::shares($third, $second, $first);
        if (abs($ofFirst) >= self::SURELY || abs($ofSecond) >= self::SURELY - $ofFirst) {
            return [];
        }
        $toCome = [];
        foreach ($third as $i => $change) {
            $toCome[] = (($ofSecond + $ofFirst) * $change + $ofFirst * $second[$i]) / (1.0 - $ofSecond - $ofFirst);
        }

        return $toCome;
    }

    /**
     * @param non-empty-list<float> $of
     * @param non-empty-list<float> $a
     * @param non-empty-list<float> $b
     *
     * @return array{float, float} INF where they cannot be told apart
     */
    private static function shares(array $of, array $a, array $b): array
    {
        $aa = $ab = $bb = $ca = $cb = 0.0;
        foreach ($of as $i => $c) {
            $aa += $a[$i] * $a[$i];
            $ab += $a[$i] * $b[$i];
            $bb += $b[$i] * $b[$i];
            $ca += $c * $a[$i];
            $cb += $c * $b[$i];
        }
        $apart = $aa * $bb - $ab * $ab;

        return $apart > 0.0 ? [($ca * $bb - $cb * $ab) / $apart, ($cb * $aa - $ca * $ab) / $apart] : [INF, INF];
    }
}
