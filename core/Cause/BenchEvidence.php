<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Knowledge\BenchState;
use MuteTapper\Core\Knowledge\ValueState;
use MuteTapper\Core\Quantity\Normal;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Verdict\Limit;

/**
 * What the bench says about the physical state of a sign, as a probability: not the verdict against a school's limit. A margin
 * below a limit is not yet contact, and a small margin does not acquit.
 */
final readonly class BenchEvidence
{
    /**
     * @param array<string, float> $sites probability of the state, only where it was measured
     * @param bool $isRelative every site is compared with others of its set
     */
    private function __construct(public array $sites, public bool $isRelative)
    {
    }

    /**
     * States of values in their order: where a more particular one speaks, the others are silent.
     *
     * @param list<BenchState> $states
     */
    public static function of(array $states, Bench $bench): self
    {
        $found = $answered = [];
        $isRelative = $states !== [];
        foreach ($states as $state) {
            foreach (self::standing($state, $bench) as [$place, $index, $p]) {
                if (!isset($answered[$place.'/'.$index])) {
                    $answered[$place.'/'.$index] = true;
                    $found[$place] = max($found[$place] ?? 0.0, $p);
                    $isRelative = $isRelative && ($bench->sheets->judged[$state->value]->accusesOnly ?? false);
                }
            }
        }

        return new self($found, $isRelative);
    }

    /**
     * The state by itself, then with what must hold beside it: the least likely of them decides.
     *
     * @return list<array{string, string, float}> place, index, probability
     */
    private static function standing(BenchState $state, Bench $bench): array
    {
        $found = self::probabilities($state, $bench);
        foreach ($state->and as $other) {
            $there = self::greatest(self::standing($other, $bench));
            $found = array_values(array_filter($found, static fn (array $one): bool => isset($there[$one[0]])));
            $found = array_map(static fn (array $one): array => [$one[0], $one[1], min($one[2], $there[$one[0]])], $found);
        }
        if ($state->withNeighbour) {
            $at = self::greatest($found);
            $found = [];
            foreach ($at as $place => $p) {
                $beside = array_intersect_key($at, array_flip($bench->case->engine->besides($place)));
                if ($beside !== []) {
                    $found[] = [$place, '', min($p, max($beside))];
                }
            }
        }
        if ($state->atAll) {
            $at = self::greatest($found);
            $sites = $bench->case->engine->sites($bench->sheets->value($state->value)->site);

            return $at !== [] && array_diff($sites, array_keys($at)) === [] ? [[Place::ENGINE, '', min($at)]] : [];
        }

        return $found;
    }

    /**
     * @param list<array{string, string, float}> $found
     *
     * @return array<string, float> by place, the likeliest of its indexes
     */
    private static function greatest(array $found): array
    {
        $at = [];
        foreach ($found as [$place, , $p]) {
            $at[$place] = max($at[$place] ?? 0.0, $p);
        }

        return $at;
    }

    /** @return list<array{string, string, float}> place, index, probability */
    private static function probabilities(BenchState $state, Bench $bench): array
    {
        $found = [];
        if (!isset($bench->sheets->judged[$state->value])) {
            foreach ($bench->case->engine->sites($bench->sheets->value($state->value)->site) as $place) {
                $value = $bench->value($place, $state->value);
                if ($value instanceof Given && $value->basis->isMeasured() && $state->state === ValueState::Negative) {
                    $found[] = [$place, '', self::below($value->value, 0.0)];
                }
            }

            return $found;
        }
        foreach ($bench->marginsOf($state->value) as $margin) {
            $value = $margin->value();
            if ($value !== null && $margin->because === null) {
                $eats = $state->state === ValueState::Contact ? self::eating($state->value, $margin->place, $bench) : null;
                $found[] = [
                    $margin->place, $margin->index ?? '',
                    // What is known to be taken off it at speed stands in the place of the running allowance.
                    $eats === null ? self::probability($state->state, $value, $margin->limit) : self::below($value->minus($eats), 0.0),
                ];
            }
        }

        return $found;
    }

    private static function eating(string $judged, string $place, Bench $bench): ?Uncertain
    {
        $name = $bench->sheets->judged[$judged]->eatenBy ?? null;
        $given = $name === null ? null : $bench->value($place, $name);

        return $given instanceof Given && $given->basis->isMeasured() ? $given->value : null;
    }

    private static function probability(ValueState $state, Uncertain $value, Limit $limit): float
    {
        $bound = $limit->value()->base;

        return match ($state) {
            ValueState::Contact => self::contact($value, $limit->leastDemanding()->base),
            ValueState::Low => self::below($value, -$bound),
            ValueState::High => 1 - self::below($value, $bound),
            ValueState::Off => 1 - $limit->probabilityGood($value),
            ValueState::Good => $limit->probabilityGood($value),
            ValueState::Tight => self::below($value, $limit->bounds()->least->base ?? -\INF),
            ValueState::Loose => 1 - self::below($value, $limit->bounds()->most->base ?? \INF),
            ValueState::Short => self::below($value, $bound),
            ValueState::Negative => self::below($value, 0.0),
        };
    }

    /**
     * P(margin − a ≤ 0) with the running allowance a (loft, surge, stretch) uniform from 0 to `allowance`. Closed form of
     * the normal integral; never grows with the margin.
     */
    public static function contact(Uncertain $margin, float $allowance): float
    {
        $u = $margin->standard();
        if ($u <= 0.0) {
            return 1 - max(0.0, min(1.0, $margin->base / $allowance));
        }
        $area = static fn (float $z): float => $z * Normal::below($z) + Normal::density($z);

        return 1 - $u / $allowance * ($area($margin->base / $u) - $area(($margin->base - $allowance) / $u));
    }

    private static function below(Uncertain $value, float $bound): float
    {
        $u = $value->standard();

        return $u > 0.0 ? Normal::below(($bound - $value->base) / $u) : ($value->base < $bound ? 1.0 : 0.0);
    }
}
