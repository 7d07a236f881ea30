<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/**
 * Sums a product of factors over all states of the events, exactly, by variable elimination. One plan serves all
 * hypotheses; a step's table is kept by the causes that can reach it, so a second cause recomputes only what it touches.
 */
final class Elimination
{
    /**
     * @var list<array{factors: list<int>, steps: list<int>, maps: list<list<int>>, size: int, bit: int, causes: array<int, true>,
     *     next: int|null}>
     */
    private array $steps = [];
    /** @var list<int> factors without events */
    private array $constants = [];
    /** @var array<int, array<int, list<float>>> */
    private array $messages = [];
    /** @var array<string, array<int, array<int, list<float>>>> messages by factor and transformation, step, causes */
    private array $transformed = [];
    /** @var array<int, array<int, list<float>>> tables as the factors give them */
    private array $tables = [];
    /** @var array<int, array<int, list<float>>> the same raised to the power */
    private array $powered = [];
    /** @var array<int, int> the step in which each factor is multiplied */
    private array $stepOf = [];
    private int $width = 0;

    /** @param list<Factor> $factors */
    public function __construct(private readonly array $factors, int $eventCount)
    {
        $this->plan($eventCount);
    }

    /** Greatest number of events in one table, the eliminated one included. */
    public function width(): int
    {
        return $this->width;
    }

    /** The likelihood with the given causes at work. */
    public function likelihood(int $causes): float
    {
        $total = 1.0;
        foreach ($this->constants as $factor) {
            $total *= $this->poweredTable($factor, $causes)[0];
        }
        // As AtWork::among, written out: half of a ranking's time is spent here.
        $first = $causes & AtWork::LOW;
        $second = $causes >> AtWork::BITS;
        foreach ($this->steps as $s => $plan) {
            $among = $plan['causes'];
            $hasSecond = $second !== 0 && isset($among[$second]);
            $key = isset($among[$first]) ? ($hasSecond ? $causes : $first) : ($hasSecond ? $second : AtWork::NONE);
            $message = $this->messages[$s][$key] ??= $this->message($s, $causes, null, null, []);
            if ($plan['next'] === null) {
                $total *= $message[0];
            }
        }

        return $total;
    }

    /**
     * The likelihood with one factor's table transformed. What a step yields is kept under the name of the transformation,
     * which must therefore always mean the same.
     *
     * @param \Closure(list<float>): list<float> $transform
     */
    public function likelihoodWith(int $causes, int $factor, string $name, \Closure $transform): float
    {
        $total = 1.0;
        foreach ($this->constants as $constant) {
            $table = $this->poweredTable($constant, $causes);
            $total *= ($constant === $factor ? $transform($this->table($factor, $causes)) : $table)[0];
        }
        $changed = [];
        for ($step = $this->stepOf[$factor] ?? null; $step !== null; $step = $this->steps[$step]['next']) {
            $changed[$step] = true;
        }
        $kept = &$this->transformed[$factor.' '.$name];
        $kept ??= [];
        foreach ($this->steps as $s => $plan) {
            $key = AtWork::among($causes, $plan['causes']);
            if (isset($changed[$s])) {
                $message = $kept[$s][$key] ??= $this->message($s, $causes, $factor, $transform, $kept);
            } else {
                $message = $this->messages[$s][$key] ??= $this->message($s, $causes, null, null, []);
            }
            if ($plan['next'] === null) {
                $total *= $message[0];
            }
        }

        return $total;
    }

    /** @return list<float> */
    public function table(int $factor, int $causes): array
    {
        $key = AtWork::among($causes, $this->factors[$factor]->causes);

        return $this->tables[$factor][$key] ??= ($this->factors[$factor]->table)($key);
    }

    /** The same plan with every sign's table raised to a power: the path along which the ledger integrates. */
    public function powered(float $power): self
    {
        $powered = clone $this;
        $powered->messages = [];
        $powered->transformed = [];
        $powered->powered = [];
        $powered->power = $power;

        return $powered;
    }

    private float $power = 1.0;

    /** @return list<float> */
    private function poweredTable(int $factor, int $causes): array
    {
        if ($this->power === 1.0 || $this->factors[$factor]->sign === null) {
            return $this->table($factor, $causes);
        }
        $key = AtWork::among($causes, $this->factors[$factor]->causes);

        return $this->powered[$factor][$key] ??= array_map(fn (float $f): float => $f ** $this->power, $this->table($factor, $causes));
    }

    /**
     * Product of a step's tables, summed over its event.
     *
     * @param (\Closure(list<float>): list<float>)|null $transform
     * @param array<int, array<int, list<float>>> $transformed messages that replace the plain ones, by step and causes
     *
     * @return list<float>
     */
    private function message(int $s, int $causes, ?int $factorChanged, ?\Closure $transform, array $transformed): array
    {
        $plan = $this->steps[$s];
        $product = array_fill(0, $plan['size'], 1.0);
        $m = 0;
        foreach ($plan['factors'] as $factor) {
            $values = $factor === $factorChanged && $transform !== null
                ? $transform($this->table($factor, $causes))
                : $this->poweredTable($factor, $causes);
            foreach ($plan['maps'][$m++] as $i => $j) {
                $product[$i] *= $values[$j];
            }
        }
        foreach ($plan['steps'] as $step) {
            $stepKey = AtWork::among($causes, $this->steps[$step]['causes']);
            $values = $transformed[$step][$stepKey] ?? $this->messages[$step][$stepKey];
            foreach ($plan['maps'][$m++] as $i => $j) {
                $product[$i] *= $values[$j];
            }
        }
        $bit = $plan['bit'];
        $low = (1 << $bit) - 1;
        $sum = [];
        for ($i = 0, $half = $plan['size'] >> 1; $i < $half; ++$i) {
            $off = (($i & ~$low) << 1) | ($i & $low);
            $sum[] = $product[$off] + $product[$off | (1 << $bit)];
        }

        return $sum;
    }

    /** Chooses the order (least fill) and lays out, per step, how the indices of its tables follow the step's own. */
    private function plan(int $eventCount): void
    {
        $scopes = $causes = $waiting = [];
        foreach ($this->factors as $f => $factor) {
            if ($factor->scope === []) {
                $this->constants[] = $f;
            } else {
                $waiting['f'.$f] = true;
                $scopes['f'.$f] = $factor->scope;
                $causes['f'.$f] = $factor->causes;
            }
        }
        $left = array_fill_keys(range(0, max(0, $eventCount - 1)), true);
        if ($eventCount === 0) {
            $left = [];
        }
        while ($left !== []) {
            $event = $this->cheapest(array_keys($left), array_intersect_key($scopes, $waiting));
            unset($left[$event]);
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
            $step = [
                'factors' => [], 'steps' => [], 'maps' => [], 'size' => 1 << count($union),
                'bit' => (int) array_search($event, $union, true), 'causes' => [], 'next' => null,
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
                    $this->steps[$number]['next'] = $s;
                }
                $step['causes'] += $causes[$key];
                $step['maps'][] = self::map($union, $scopes[$key]);
            }
            $this->steps[] = $step;
            $scopes['s'.$s] = array_values(array_diff($union, [$event]));
            $causes['s'.$s] = $step['causes'];
            if ($scopes['s'.$s] !== []) {
                $waiting['s'.$s] = true;
            }
        }
    }

    /**
     * The event whose elimination adds the fewest new neighbours pairs.
     *
     * @param list<int> $events
     * @param array<string, list<int>> $scopes
     */
    private function cheapest(array $events, array $scopes): int
    {
        $neighbours = array_fill_keys($events, []);
        foreach ($scopes as $scope) {
            foreach ($scope as $a) {
                foreach ($scope as $b) {
                    if ($a !== $b) {
                        $neighbours[$a][$b] = true;
                    }
                }
            }
        }
        $best = $events[0];
        $least = null;
        foreach ($events as $event) {
            $around = array_keys($neighbours[$event]);
            $fill = 0;
            foreach ($around as $i => $a) {
                for ($j = $i + 1; $j < count($around); ++$j) {
                    $fill += isset($neighbours[$a][$around[$j]]) ? 0 : 1;
                }
            }
            $cost = [$fill, count($around)];
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
