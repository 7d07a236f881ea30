<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use MuteTapper\Core\Calculation\Contradiction;

/** How an answer changes with one of its figures. */
final class Slope
{
    /**
     * By a step either way; to one side where the figures no longer fit each other on the other, and nothing where on neither.
     *
     * @param \Closure(float): ?float $at the answer with the figure moved by so much; null where there is none
     * @param float $here the answer as it is
     */
    public static function of(\Closure $at, float $step, float $here): float
    {
        $ends = [];
        foreach ([$step, -$step] as $by) {
            try {
                $answer = $at($by);
            } catch (Contradiction) {
                $answer = null;
            }
            $ends[] = $answer === null ? [0.0, $here] : [$by, $answer];
        }
        $apart = $ends[0][0] - $ends[1][0];

        return $apart === 0.0 ? 0.0 : ($ends[0][1] - $ends[1][1]) / $apart;
    }
}
