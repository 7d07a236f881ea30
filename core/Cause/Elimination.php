<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/**
 * Sums a product of factors over all states of the events, exactly, by variable elimination. One plan serves all
 * explanations. What an explanation does to a factor has a number, nought where it does nothing; what a step yields is kept
 * by the numbers that reach it, so that explanations which act alike share it.
 */
final class Elimination
{
    /** More than there are factors and steps: what reaches a step and where from make one number. */
    private const SOURCES = 8192;
    private const FROM_STEP = 4096;

    /** @var list<array{factors: list<int>, steps: list<int>, maps: list<list<int>>, size: int, off: list<int>, bit: int}> */
    private array $steps = [];
    /** @var array<int, int|null> the step into which each step's message goes */
    private array $next = [];
    /** @var array<int, int|null> the step in which each factor is multiplied; null where it is a constant */
    private array $stepOf = [];
    /** @var list<int> steps whose message goes nowhere: what is left of all events */
    private array $last = [];
    /** @var list<int> factors without events */
    private array $constants = [];
    /** @var array<int, array<int, array<int, int>>> number of what reaches a step, by what reached it before and what does now */
    private array $reaching = [];
    /** @var array<int, int> how many different things reached each step */
    private array $counts = [];
    /** @var array<int, array<int, list<float>>> what each step yields, by the number of what reaches it */
    private array $messages = [];
    /** @var array<int, array<int, list<float>>> tables of the factors, by effect */
    private array $tables = [];
    /** @var array<int, array<int, list<float>>> product of what is not touched in a step, by what is: a bit each */
    private array $resting = [];
    /** @var array<string, array<int, array<int, list<float>>>> messages with one factor transformed */
    private array $transformed = [];
    private int $width = 0;
    private float $power = 1.0;
    /** How many messages were worked out, and how many likelihoods were asked for: what a ranking costs, whatever the machine. */
    public int $worked = 0;
    public int $asked = 0;

    /**
     * @param list<list<int>> $scopes events of each factor, ascending; bit i of a table's index is the state of the i-th
     * @param \Closure(int, int, float): list<float> $table of a factor under an effect, with the evidence raised to a power
     */
    public function __construct(array $scopes, int $eventCount, private readonly \Closure $table)
    {
        $this->plan($scopes, $eventCount);
    }

    /** Greatest number of events in one table, the eliminated one included. */
    public function width(): int
    {
        return $this->width;
    }

    /** @param array<int, int> $effects by factor, ascending; nought may be left out */
    public function likelihood(array $effects): float
    {
        ++$this->asked;

        return $this->sum($effects, $this->messages, null, null);
    }

    /**
     * The sum with one factor's table transformed. What a step yields is kept under the name of the transformation, which
     * must therefore always mean the same.
     *
     * @param array<int, int> $effects
     * @param \Closure(list<float>): list<float> $transform
     */
    public function likelihoodWith(array $effects, int $factor, string $name, \Closure $transform): float
    {
        $this->transformed[$factor.' '.$name] ??= [];

        return $this->sum($effects, $this->transformed[$factor.' '.$name], $factor, $transform);
    }

    /** The same plan with the evidence raised to a power: the path along which the ledger integrates. */
    public function powered(float $power): self
    {
        $powered = clone $this;
        $powered->messages = $powered->tables = $powered->transformed = $powered->reaching = $powered->counts = $powered->resting = [];
        $powered->power = $power;

        return $powered;
    }

    /** @return list<float> */
    public function table(int $factor, int $effect): array
    {
        return $this->tables[$factor][$effect] ??= ($this->table)($factor, $effect, $this->power);
    }

    /**
     * @param array<int, int> $effects
     * @param array<int, array<int, list<float>>> $kept messages of steps that the transformation reaches
     * @param (\Closure(list<float>): list<float>)|null $transform
     */
    private function sum(array $effects, array &$kept, ?int $changed, ?\Closure $transform): float
    {
        $total = 1.0;
        foreach ($this->constants as $factor) {
            $table = $this->table($factor, $effects[$factor] ?? 0);
            $total *= ($factor === $changed && $transform !== null ? $transform($table) : $table)[0];
        }
        if ($this->messages === []) {
            foreach ($this->next as $s => $_) {
                $this->messages[$s][0] = $this->message($s, [], [], null, null, []);
            }
        }
        $numbers = [];
        foreach ($effects as $factor => $effect) {
            $step = $this->stepOf[$factor];
            if ($effect !== 0 && $step !== null) {
                $numbers[$step] = $this->reached($step, $numbers[$step] ?? 0, $effect, $factor);
            }
        }
        $own = [];
        for ($step = $changed === null ? null : $this->stepOf[$changed]; $step !== null; $step = $this->next[$step]) {
            $own[$step] = true;
        }
        foreach ($this->next as $s => $next) {
            if (isset($numbers[$s])) {
                $number = $numbers[$s];
                if ($next !== null) {
                    $numbers[$next] = $this->reached($next, $numbers[$next] ?? 0, $number, self::FROM_STEP + $s);
                }
                if (!isset($own[$s]) && !isset($this->messages[$s][$number])) {
                    $this->messages[$s][$number] = $this->message($s, $effects, $numbers, null, null, []);
                }
            }
            if (isset($own[$s])) {
                $number = $numbers[$s] ?? 0;
                $kept[$s][$number] ??= $this->message($s, $effects, $numbers, $changed, $transform, $kept);
            }
        }
        foreach ($this->last as $s) {
            $number = $numbers[$s] ?? 0;
            $total *= (isset($own[$s]) ? $kept[$s][$number] : $this->messages[$s][$number])[0];
        }

        return $total;
    }

    /** Number of what reaches a step once more: of what reached it before, and of what does now from where. */
    private function reached(int $step, int $before, int $what, int $from): int
    {
        return $this->reaching[$step][$before][$what * self::SOURCES + $from] ??= $this->counts[$step] = ($this->counts[$step] ?? 0) + 1;
    }

    /**
     * Product of a step's tables, summed over its event.
     *
     * @param array<int, int> $effects
     * @param array<int, int> $numbers of what reaches the steps before
     * @param (\Closure(list<float>): list<float>)|null $transform
     * @param array<int, array<int, list<float>>> $kept messages that replace the plain ones
     *
     * @return list<float>
     */
    private function message(int $s, array $effects, array $numbers, ?int $changed, ?\Closure $transform, array $kept): array
    {
        ++$this->worked;
        $plan = $this->steps[$s];
        $touched = [];
        $mask = 0;
        foreach ($plan['factors'] as $m => $factor) {
            $effect = $effects[$factor] ?? 0;
            if ($factor === $changed && $transform !== null) {
                $touched[$m] = $transform($this->table($factor, $effect));
                $mask |= 1 << $m;
            } elseif ($effect !== 0) {
                $touched[$m] = $this->tables[$factor][$effect] ?? $this->table($factor, $effect);
                $mask |= 1 << $m;
            }
        }
        foreach ($plan['steps'] as $i => $step) {
            $number = $numbers[$step] ?? 0;
            if ($number !== 0 || isset($kept[$step][$number])) {
                $m = count($plan['factors']) + $i;
                $touched[$m] = $kept[$step][$number] ?? $this->messages[$step][$number];
                $mask |= 1 << $m;
            }
        }
        $product = $this->resting[$s][$mask] ??= $this->resting($s, $touched);
        foreach ($touched as $m => $values) {
            foreach ($plan['maps'][$m] as $i => $j) {
                $product[$i] *= $values[$j];
            }
        }
        $bit = $plan['bit'];
        $sum = [];
        foreach ($plan['off'] as $off) {
            $sum[] = $product[$off] + $product[$off | $bit];
        }

        return $sum;
    }

    /**
     * Product of what an explanation does not touch in a step.
     *
     * @param array<int, list<float>> $touched by position in the step
     *
     * @return list<float>
     */
    private function resting(int $s, array $touched): array
    {
        $plan = $this->steps[$s];
        $product = array_fill(0, $plan['size'], 1.0);
        foreach ($plan['maps'] as $m => $map) {
            if (isset($touched[$m])) {
                continue;
            }
            $factors = count($plan['factors']);
            $values = $m < $factors ? $this->table($plan['factors'][$m], 0) : $this->messages[$plan['steps'][$m - $factors]][0];
            foreach ($map as $i => $j) {
                $product[$i] *= $values[$j];
            }
        }

        return array_values($product);
    }

    /**
     * Chooses the order (least fill) and lays out, per step, how the indices of its tables follow the step's own.
     *
     * @param list<list<int>> $factors
     */
    private function plan(array $factors, int $eventCount): void
    {
        $scopes = $waiting = [];
        foreach ($factors as $f => $scope) {
            $this->stepOf[$f] = null;
            if ($scope === []) {
                $this->constants[] = $f;
            } else {
                $waiting['f'.$f] = true;
                $scopes['f'.$f] = $scope;
            }
        }
        $neighbours = $eventCount === 0 ? [] : array_fill(0, $eventCount, []);
        foreach ($scopes as $scope) {
            self::join($neighbours, $scope);
        }
        while ($neighbours !== []) {
            $event = self::cheapest($neighbours);
            self::join($neighbours, array_keys($neighbours[$event]));
            foreach ($neighbours[$event] as $other => $_) {
                unset($neighbours[$other][$event]);
            }
            unset($neighbours[$event]);
            $used = array_keys(
                array_filter(
                    $waiting, static fn (bool $yes, string $key): bool => in_array($event, $scopes[$key], true), \ARRAY_FILTER_USE_BOTH,
                ),
            );
            $union = array_values(
                array_unique(array_merge([$event], ...array_map(static fn (string $key): array => $scopes[$key], $used))),
            );
            sort($union);
            $this->width = max($this->width, count($union));
            $bit = 1 << (int) array_search($event, $union, true);
            $size = 1 << count($union);
            $step = [
                'factors' => [], 'steps' => [], 'maps' => [], 'size' => $size, 'bit' => $bit,
                'off' => array_values(array_filter(range(0, $size - 1), static fn (int $i): bool => ($i & $bit) === 0)),
            ];
            $s = count($this->steps);
            usort($used, static fn (string $a, string $b): int => [$a[0], (int) substr($a, 1)] <=> [$b[0], (int) substr($b, 1)]);
            foreach ($used as $key) {
                unset($waiting[$key]);
                $number = (int) substr($key, 1);
                if ($key[0] === 'f') {
                    $step['factors'][] = $number;
                    $this->stepOf[$number] = $s;
                } else {
                    $step['steps'][] = $number;
                    $this->next[$number] = $s;
                }
                $step['maps'][] = self::map($union, $scopes[$key]);
            }
            $this->steps[] = $step;
            $this->next[] = null;
            $scopes['s'.$s] = array_values(array_diff($union, [$event]));
            if ($scopes['s'.$s] !== []) {
                $waiting['s'.$s] = true;
            }
        }
        $this->last = array_keys($this->next, null, true);
    }

    /**
     * Makes all events of a scope neighbours of each other.
     *
     * @param array<int, array<int, true>> $neighbours
     * @param list<int> $scope
     */
    private static function join(array &$neighbours, array $scope): void
    {
        foreach ($scope as $one) {
            foreach ($scope as $other) {
                if ($one !== $other) {
                    $neighbours[$one][$other] = true;
                }
            }
        }
    }

    /**
     * The event whose elimination adds the fewest new pairs of neighbours; of equals the one with fewer neighbours, then the first.
     *
     * @param non-empty-array<int, array<int, true>> $neighbours by event
     */
    private static function cheapest(array $neighbours): int
    {
        $best = array_key_first($neighbours);
        $least = null;
        foreach ($neighbours as $event => $around) {
            $pairs = 0;
            foreach ($around as $one => $_) {
                $pairs += count($around) - 1 - count(array_intersect_key($around, $neighbours[$one]));
            }
            $cost = [intdiv($pairs, 2), count($around)];
            if ($least === null || $cost < $least) {
                $least = $cost;
                $best = $event;
            }
        }

        return $best;
    }

    /**
     * For each index over the union of events, the index into a table over some of them.
     *
     * @param list<int> $union
     * @param list<int> $scope
     *
     * @return list<int>
     */
    private static function map(array $union, array $scope): array
    {
        $positions = array_map(static fn (int $event): int => (int) array_search($event, $union, true), $scope);
        $map = [];
        for ($i = 0, $n = 1 << count($union); $i < $n; ++$i) {
            $index = 0;
            foreach ($positions as $bit => $position) {
                $index |= (($i >> $position) & 1) << $bit;
            }
            $map[] = $index;
        }

        return $map;
    }
}
