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
    /** Bits that hold the number of a factor or of a step, and with it that of what comes from there. */
    private const SOURCE_BITS = 13;
    private const REACHING_BITS = 38;
    private const FROM_STEP = 1 << self::SOURCE_BITS - 1;

    /**
     * What is multiplied in each step, and how the places of its tables follow those of what is left: where its event did not happen, and
     * where it did.
     *
     * @var list<array{factors: list<int>, steps: array<int, int>, maps: list<array{list<int>, list<int>}>, size: int}>
     */
    private array $steps = [];
    /** @var array<int, int|null> the step into which each step's message goes */
    private array $next = [];
    /** @var array<int, int|null> the step in which each factor is multiplied; null where it is a constant */
    private array $stepOf = [];
    /** @var list<int> steps whose message goes nowhere: what is left of all events */
    private array $last = [];
    /** @var list<int> factors without events; the table of none is nought */
    private array $constants = [];
    private ?float $still = null;
    /** @var array<int, array<int, int>> number of what reaches a step, by what reached it before, what does now and from where: one number */
    private array $reaching = [];
    /** @var array<int, int> how many different things reached each step */
    private array $counts = [];
    /** @var array<int, array<int, list<float>>> what each step yields, by the number of what reaches it */
    private array $messages = [];
    /** @var array<int, int> the step from which nothing goes on, by those that lead to it */
    private array $roots = [];
    /** @var array<int, list<float>> what each step's message meets beyond it with nothing touched there */
    private array $beyond = [];
    /** @var array<int, array<int, list<float>>> tables of the factors, by effect */
    private array $tables = [];
    /** @var array<int, array<int, array{list<float>, list<float>}>> product of what is not touched in a step, by what is: a bit each */
    private array $resting = [];
    /** @var array<int, array<int, int>> numbers that reach the steps where effects were followed all the way, by the key of these */
    private array $followed = [];
    /** @var array<int, array<int, list<float>>> what each step's message meets beyond it with effects at work, by the key of these */
    private array $around = [];
    private int $width = 0;
    private float $power = 1.0;
    /** How many messages were worked out: what a ranking costs, whatever the machine. */
    public int $worked = 0;

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
        return $this->follow($effects, false)[0];
    }

    /**
     * Mean over all states of what a factor's table is turned into, against the table itself.
     *
     * @param int $key under which it is kept what the effects come to elsewhere: of these effects and no others
     * @param array<int, int> $effects
     * @param \Closure(list<float>): list<float> $turned
     */
    public function mean(int $key, array $effects, int $factor, \Closure $turned): float
    {
        $table = $this->table($factor, $effects[$factor] ?? 0);
        $around = $this->around($key, $effects, $factor);
        $sum = $whole = 0.0;
        foreach ($turned($table) as $i => $value) {
            $sum += $value * $around[$i];
            $whole += $table[$i] * $around[$i];
        }

        return $sum / $whole;
    }

    /** The same plan with the evidence raised to a power: the path along which the ledger integrates. */
    public function powered(float $power): self
    {
        $powered = clone $this;
        $powered->messages = $powered->beyond = $powered->tables = $powered->resting = [];
        $powered->reaching = $powered->counts = $powered->followed = $powered->around = [];
        $powered->still = null;
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
     * @param bool $isWhole all the way, not only to where all that these effects touch has come together
     *
     * @return array{float, array<int, int>} the sum, and the numbers of what reaches the steps
     */
    private function follow(array $effects, bool $isWhole): array
    {
        if ($this->messages === []) {
            foreach ($this->next as $s => $_) {
                $this->messages[$s][0] = $this->message($s, [], []);
            }
        }
        $total = $this->still ??= $this->still();
        $numbers = [];
        $waiting = 0;
        foreach ($effects as $factor => $effect) {
            if ($effect === 0) {
                continue;
            }
            $s = $this->stepOf[$factor];
            if ($s === null) {
                $total *= $this->table($factor, $effect)[0] / $this->table($factor, 0)[0];
            } else {
                $waiting += isset($numbers[$s]) ? 0 : 1;
                $reaching = ($numbers[$s] ?? 0) << self::REACHING_BITS | $effect << self::SOURCE_BITS | $factor;
                $numbers[$s] = $this->reaching[$s][$reaching] ??= $this->counts[$s] = ($this->counts[$s] ?? 0) + 1;
            }
        }
        $root = null;
        foreach ($waiting > 0 ? $this->next : [] as $s => $next) {
            if (!isset($numbers[$s])) {
                continue;
            }
            $number = $numbers[$s];
            $message = $this->messages[$s][$number] ??= $this->message($s, $effects, $numbers);
            if ($waiting === 1 && !$isWhole) {
                // Beyond here all is as with none of them.
                $sum = 0.0;
                $beyond = $this->beyond[$s] ??= $this->beyond($s, [], [], $this->beyond);
                foreach ($message as $i => $p) {
                    $sum += $p * $beyond[$i];
                }
                $total *= $sum;
                $root = $this->roots[$s];
                break;
            }
            if ($next === null) {
                --$waiting;
                continue;
            }
            $waiting -= isset($numbers[$next]) ? 1 : 0;
            $reaching = ($numbers[$next] ?? 0) << self::REACHING_BITS | $number << self::SOURCE_BITS | self::FROM_STEP | $s;
            $numbers[$next] = $this->reaching[$next][$reaching] ??= $this->counts[$next] = ($this->counts[$next] ?? 0) + 1;
        }
        foreach ($this->last as $s) {
            $total *= $s === $root ? 1.0 : $this->messages[$s][$numbers[$s] ?? 0][0];
        }

        return [$total, $numbers];
    }

    /** What the factors without events come to where none is touched. */
    private function still(): float
    {
        $still = 1.0;
        foreach ($this->constants as $factor) {
            $still *= $this->table($factor, 0)[0];
        }

        return $still;
    }

    /**
     * What a factor's table is multiplied with, and summed, but for what is the same for all of it.
     *
     * @param array<int, int> $effects
     *
     * @return list<float>
     */
    private function around(int $key, array $effects, int $factor): array
    {
        $s = $this->stepOf[$factor];
        if ($s === null) {
            return [1.0];
        }
        if (!isset($this->followed[$key])) {
            $this->followed[$key] = $this->follow($effects, true)[1];
            $this->around[$key] = [];
        }
        $numbers = $this->followed[$key];
        $beyond = $this->around[$key][$s] ??= $this->beyond($s, $effects, $numbers, $this->around[$key]);
        $of = (int) array_search($factor, $this->steps[$s]['factors'], true);

        return $this->onto(count($this->table($factor, 0)), $s, $of, $beyond, $effects, $numbers);
    }

    /**
     * What a step's message is multiplied with, and summed, beyond it.
     *
     * @param array<int, int> $effects
     * @param array<int, int> $numbers of what reaches the steps
     * @param array<int, list<float>> $known of steps further on
     *
     * @return list<float>
     */
    private function beyond(int $s, array $effects, array $numbers, array &$known): array
    {
        $next = $this->next[$s];
        if ($next === null) {
            return [1.0];
        }
        $known[$next] ??= $this->beyond($next, $effects, $numbers, $known);
        $of = (int) array_search($s, $this->steps[$next]['steps'], true);

        return $this->onto(count($this->messages[$s][0]), $next, $of, $known[$next], $effects, $numbers);
    }

    /**
     * All of a step and beyond it but one of its tables, summed onto the places of that one.
     *
     * @param int $of position of the table in the step
     * @param list<float> $beyond
     * @param array<int, int> $effects
     * @param array<int, int> $numbers of what reaches the steps
     *
     * @return list<float>
     */
    private function onto(int $size, int $s, int $of, array $beyond, array $effects, array $numbers): array
    {
        [$touched, $mask] = $this->touched($s, $effects, $numbers);
        unset($touched[$of]);
        $mask |= 1 << $of;
        [$off, $on] = $this->resting[$s][$mask] ??= $this->resting($s, $mask);
        foreach ($touched as $m => $values) {
            [$off, $on] = self::times($off, $on, $values, $this->steps[$s]['maps'][$m]);
        }
        [$whereOff, $whereOn] = $this->steps[$s]['maps'][$of];
        $sums = array_fill(0, $size, 0.0);
        foreach ($beyond as $i => $p) {
            $sums[$whereOff[$i]] += $off[$i] * $p;
            $sums[$whereOn[$i]] += $on[$i] * $p;
        }

        return array_values($sums);
    }

    /**
     * Product of a step's tables, summed over its event.
     *
     * @param array<int, int> $effects
     * @param array<int, int> $numbers of what reaches the steps before
     *
     * @return list<float>
     */
    private function message(int $s, array $effects, array $numbers): array
    {
        ++$this->worked;
        [$touched, $mask] = $this->touched($s, $effects, $numbers);
        [$off, $on] = $this->resting[$s][$mask] ??= $this->resting($s, $mask);
        $last = array_key_last($touched);
        $sum = [];
        if ($last === null) {
            foreach ($off as $i => $p) {
                $sum[] = $p + $on[$i];
            }

            return $sum;
        }
        $maps = $this->steps[$s]['maps'];
        $values = array_pop($touched);
        foreach ($touched as $m => $others) {
            [$off, $on] = self::times($off, $on, $others, $maps[$m]);
        }
        [$whereOff, $whereOn] = $maps[$last];
        foreach ($off as $i => $p) {
            $sum[] = $p * $values[$whereOff[$i]] + $on[$i] * $values[$whereOn[$i]];
        }

        return $sum;
    }

    /**
     * @param array<int, int> $effects
     * @param array<int, int> $numbers of what reaches the steps before
     *
     * @return array{array<int, list<float>>, int} tables of a step that are not as with nothing at work, by position, and a bit for each
     */
    private function touched(int $s, array $effects, array $numbers): array
    {
        $touched = [];
        $mask = 0;
        foreach ($this->steps[$s]['factors'] as $m => $factor) {
            $effect = $effects[$factor] ?? 0;
            if ($effect !== 0) {
                $touched[$m] = $this->tables[$factor][$effect] ?? $this->table($factor, $effect);
                $mask |= 1 << $m;
            }
        }
        foreach ($this->steps[$s]['steps'] as $m => $step) {
            if (isset($numbers[$step])) {
                $touched[$m] = $this->messages[$step][$numbers[$step]];
                $mask |= 1 << $m;
            }
        }

        return [$touched, $mask];
    }

    /**
     * Product of what an explanation does not touch in a step.
     *
     * @param int $touched a bit for each position in the step
     *
     * @return array{list<float>, list<float>} where the event did not happen, and where it did
     */
    private function resting(int $s, int $touched): array
    {
        $plan = $this->steps[$s];
        $off = $on = array_fill(0, $plan['size'], 1.0);
        foreach ($plan['maps'] as $m => $map) {
            if (($touched >> $m & 1) === 0) {
                $values = isset($plan['steps'][$m]) ? $this->messages[$plan['steps'][$m]][0] : $this->table($plan['factors'][$m], 0);
                [$off, $on] = self::times($off, $on, $values, $map);
            }
        }

        return [$off, $on];
    }

    /**
     * @param list<float> $off
     * @param list<float> $on
     * @param list<float> $values
     * @param array{list<int>, list<int>} $map
     *
     * @return array{list<float>, list<float>}
     */
    private static function times(array $off, array $on, array $values, array $map): array
    {
        foreach ($map[0] as $i => $j) {
            $off[$i] *= $values[$j];
        }
        foreach ($map[1] as $i => $j) {
            $on[$i] *= $values[$j];
        }

        /**
         * @var list<float> $off no place was added
         * @var list<float> $on
         */
        return [$off, $on];
    }

    /**
     * Chooses the order and lays out, per step, how the indices of its tables follow the step's own.
     *
     * @param list<list<int>> $factors
     */
    private function plan(array $factors, int $eventCount): void
    {
        $scopes = $waiting = [];
        $counts = $heights = $eventCount === 0 ? [] : array_fill(0, $eventCount, 0);
        foreach ($factors as $f => $scope) {
            foreach ($scope as $event) {
                ++$counts[$event];
            }
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
            $event = self::cheapest($neighbours, $heights, $counts);
            self::join($neighbours, array_keys($neighbours[$event]));
            foreach ($neighbours[$event] as $other => $_) {
                unset($neighbours[$other][$event]);
                $heights[$other] = max($heights[$other], $heights[$event] + 1);
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
            $step = ['factors' => [], 'steps' => [], 'maps' => [], 'size' => 1 << count($union) - 1];
            $s = count($this->steps);
            usort($used, static fn (string $a, string $b): int => [$a[0], (int) substr($a, 1)] <=> [$b[0], (int) substr($b, 1)]);
            foreach ($used as $key) {
                unset($waiting[$key]);
                $number = (int) substr($key, 1);
                if ($key[0] === 'f') {
                    $step['factors'][] = $number;
                    $this->stepOf[$number] = $s;
                } else {
                    $step['steps'][count($step['maps'])] = $number;
                    $this->next[$number] = $s;
                }
                $step['maps'][] = self::map($union, $event, $scopes[$key]);
            }
            $this->steps[] = $step;
            $this->next[] = null;
            $scopes['s'.$s] = array_values(array_diff($union, [$event]));
            if ($scopes['s'.$s] !== []) {
                $waiting['s'.$s] = true;
            }
        }
        $this->last = array_keys($this->next, null, true);
        foreach (array_reverse($this->next, true) as $s => $next) {
            $this->roots[$s] = $next === null ? $s : $this->roots[$next];
        }
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
     * The event whose elimination adds the fewest new pairs of neighbours (least fill); of equals the one with the fewest steps below it,
     * then the one with the most factors, so that what an explanation touches comes together soon.
     *
     * @param non-empty-array<int, array<int, true>> $neighbours by event
     * @param array<int, int> $heights how many steps lead to each event, one after the other
     * @param array<int, int> $counts of the factors of each event
     */
    private static function cheapest(array $neighbours, array $heights, array $counts): int
    {
        $best = array_key_first($neighbours);
        $least = null;
        foreach ($neighbours as $event => $around) {
            $pairs = 0;
            foreach ($around as $one => $_) {
                $pairs += count($around) - 1 - count(array_intersect_key($around, $neighbours[$one]));
            }
            $cost = [intdiv($pairs, 2), $heights[$event], -$counts[$event]];
            if ($least === null || $cost < $least) {
                $least = $cost;
                $best = $event;
            }
        }

        return $best;
    }

    /**
     * For each index over the union of events without one of them, the index into a table over some: where that one did not happen, and
     * where it did.
     *
     * @param list<int> $union
     * @param list<int> $scope
     *
     * @return array{list<int>, list<int>}
     */
    private static function map(array $union, int $event, array $scope): array
    {
        $positions = array_map(static fn (int $one): int => (int) array_search($one, $union, true), $scope);
        $of = 1 << (int) array_search($event, $union, true);
        $map = [[], []];
        for ($i = 0, $n = 1 << count($union); $i < $n; ++$i) {
            $index = 0;
            foreach ($positions as $bit => $position) {
                $index |= (($i >> $position) & 1) << $bit;
            }
            $map[($i & $of) === 0 ? 0 : 1][] = $index;
        }

        return $map;
    }
}
