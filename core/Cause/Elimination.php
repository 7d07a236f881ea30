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
    /** @var array<int, true> factors without events; the table of none is nought */
    private array $constants = [];
    /** What they come to where none is touched. */
    private ?float $still = null;
    /** @var array<int, array<int, int>> mark of each effect, by factor */
    private array $marks = [];
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
    /** @var array<int, Way> by key */
    private array $ways = [];
    /** @var array<int, array<int, list<float>>> what each step's message meets beyond it with effects at work, by the key of their way */
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
        return $this->sum($effects, ...$this->follow($effects, false));
    }

    /**
     * What an explanation does, followed all the way.
     *
     * @param int $key under which it is kept: of these effects and no others
     * @param \Closure(): array<int, int> $effects by factor, ascending
     */
    public function way(int $key, \Closure $effects): Way
    {
        return $this->ways[$key] ??= $this->followed($key, $effects());
    }

    /**
     * With two explanations at work together. Where only one of them comes by, all is as with that one alone.
     *
     * @param array<int, int> $shared effects on the factors that both touch
     */
    public function likelihoodOfBoth(Way $one, Way $other, array $shared): float
    {
        $effects = $shared + $one->effects + $other->effects;
        $met = $this->meeting($one->met, $other->met);
        $changes = [];
        foreach ($shared as $factor => $effect) {
            [$ofOne, $ofOther] = [$one->effects[$factor], $other->effects[$factor]];
            $s = $this->stepOf[$factor];
            if ($s !== null && ($effect | $ofOne | $ofOther) !== 0) {
                $change = $this->mark($factor, $effect) ^ $this->mark($factor, $ofOne) ^ $this->mark($factor, $ofOther);
                $changes[$s] = ($changes[$s] ?? 0) ^ $change;
                $met = ($ofOne | $ofOther) === 0 ? $this->meeting($met, $s) : $met;
            }
        }
        $numbers = $one->numbers + $other->numbers;
        foreach (array_intersect_key($one->numbers, $other->numbers) as $s => $number) {
            $change = $changes[$s] ?? 0;
            $numbers[$s] = $number ^ $other->numbers[$s] ^ $change;
            if ($s === $met) {
                break;
            }
            $next = $this->next[$s];
            $changes[$next] = ($changes[$next] ?? 0) ^ $change;
        }

        return $this->sum($effects, $numbers, $met);
    }

    /**
     * Mean over all states of what a factor's table is turned into, against the table itself.
     *
     * @param \Closure(list<float>): list<float> $turned
     */
    public function mean(Way $way, int $factor, \Closure $turned): float
    {
        $table = $this->table($factor, $way->effects[$factor] ?? 0);
        $around = $this->around($way, $factor);
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
        $powered->ways = $powered->around = [];
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
     * @return array{array<int, int>, int|null} numbers of what reaches the steps, and where all has come together; null where it does not
     */
    private function follow(array $effects, bool $isWhole): array
    {
        $numbers = [];
        foreach ($effects as $factor => $effect) {
            $s = $effect === 0 ? null : $this->stepOf[$factor];
            if ($s !== null) {
                $numbers[$s] = ($numbers[$s] ?? 0) ^ ($this->marks[$factor][$effect] ?? $this->mark($factor, $effect));
            }
        }
        $waiting = count($numbers);
        $met = null;
        $isOneTree = true;
        foreach ($waiting > 0 ? $this->next : [] as $s => $next) {
            if (!isset($numbers[$s])) {
                continue;
            }
            if ($waiting === 1 && $isOneTree) {
                $met ??= $s;
                if (!$isWhole) {
                    break;
                }
            }
            if ($next === null) {
                --$waiting;
                $isOneTree = false;
                continue;
            }
            $waiting -= isset($numbers[$next]) ? 1 : 0;
            $numbers[$next] = ($numbers[$next] ?? 0) ^ $numbers[$s];
        }

        return [$numbers, $met];
    }

    /** @param array<int, int> $effects */
    private function followed(int $key, array $effects): Way
    {
        [$numbers, $met] = $this->follow($effects, true);
        foreach ($effects as $factor => $effect) {
            // What it does not change by itself it may change together with another.
            for ($s = $effect === 0 ? $this->stepOf[$factor] : null; $s !== null && !isset($numbers[$s]); $s = $this->next[$s]) {
                $numbers[$s] = 0;
            }
        }
        ksort($numbers);

        return new Way($key, $effects, $numbers, $met);
    }

    /** Where two steps lead to: the first that both come by; null where there is none. */
    private function meeting(?int $one, ?int $other): ?int
    {
        while ($one !== $other && $one !== null && $other !== null) {
            if ($one < $other) {
                $one = $this->next[$one];
            } else {
                $other = $this->next[$other];
            }
        }

        return $one === $other ? $one : null;
    }

    /**
     * Sum over all states. Beyond where all that is touched has come together, and in other trees, all is as with none.
     *
     * @param array<int, int> $effects
     * @param array<int, int> $numbers of what reaches the steps
     */
    private function sum(array $effects, array $numbers, ?int $met): float
    {
        $total = $this->still ??= $this->still();
        foreach (array_intersect_key($effects, $this->constants) as $factor => $effect) {
            $total *= $this->table($factor, $effect)[0] / $this->table($factor, 0)[0];
        }
        if ($met !== null) {
            $sum = 0.0;
            $beyond = $this->beyond[$met] ??= $this->beyond($met, [], [], $this->beyond);
            foreach ($this->message($met, $effects, $numbers) as $i => $p) {
                $sum += $p * $beyond[$i];
            }
            $total *= $sum;
        }
        foreach ($this->last as $s) {
            $total *= $met !== null && $s === $this->roots[$met] ? 1.0 : $this->message($s, $effects, $numbers)[0];
        }

        return $total;
    }

    /** What the factors without events come to where none is touched. */
    private function still(): float
    {
        $still = 1.0;
        foreach ($this->constants as $factor => $_) {
            $still *= $this->table($factor, 0)[0];
        }

        return $still;
    }

    /** Sixty-four bits drawn for an effect on a factor; none where it does nothing. */
    private function mark(int $factor, int $effect): int
    {
        return $this->marks[$factor][$effect] ??= $effect === 0 ? 0 : self::drawn($factor.' '.$effect);
    }

    private static function drawn(string $from): int
    {
        [1 => $bits] = (array) unpack('q', hash('xxh3', $from, true));

        return is_int($bits) ? $bits : 0;
    }

    /**
     * What a factor's table is multiplied with, and summed, but for what is the same for all of it.
     *
     * @return list<float>
     */
    private function around(Way $way, int $factor): array
    {
        $s = $this->stepOf[$factor];
        if ($s === null) {
            return [1.0];
        }
        $this->around[$way->key] ??= [];
        $beyond = $this->around[$way->key][$s] ??= $this->beyond($s, $way->effects, $way->numbers, $this->around[$way->key]);
        $of = (int) array_search($factor, $this->steps[$s]['factors'], true);

        return $this->onto(count($this->table($factor, 0)), $s, $of, $beyond, $way->effects, $way->numbers);
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

        return $this->onto($this->steps[$s]['size'], $next, $of, $known[$next], $effects, $numbers);
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
     * What a step yields, worked out where it is not known.
     *
     * @param array<int, int> $effects
     * @param array<int, int> $numbers of what reaches this step and those before
     *
     * @return list<float>
     */
    private function message(int $s, array $effects, array $numbers): array
    {
        return $this->messages[$s][$numbers[$s] ?? 0] ??= $this->summed($s, $effects, $numbers);
    }

    /**
     * Product of a step's tables, summed over its event.
     *
     * @param array<int, int> $effects
     * @param array<int, int> $numbers of what reaches the steps before
     *
     * @return list<float>
     */
    private function summed(int $s, array $effects, array $numbers): array
    {
        ++$this->worked;
        [$touched, $mask] = $this->touched($s, $effects, $numbers);
        [$off, $on] = $this->resting[$s][$mask] ??= $this->resting($s, $mask);
        $maps = $this->steps[$s]['maps'];
        $last = array_key_last($touched);
        $values = array_pop($touched);
        $other = array_key_last($touched);
        $others = array_pop($touched);
        foreach ($touched as $m => $rest) {
            [$off, $on] = self::times($off, $on, $rest, $maps[$m]);
        }
        $sum = [];
        if ($last === null || $values === null) {
            foreach ($off as $i => $p) {
                $sum[] = $p + $on[$i];
            }

            return $sum;
        }
        [$whereOff, $whereOn] = $maps[$last];
        if ($other === null || $others === null) {
            foreach ($off as $i => $p) {
                $sum[] = $p * $values[$whereOff[$i]] + $on[$i] * $values[$whereOn[$i]];
            }

            return $sum;
        }
        [$otherOff, $otherOn] = $maps[$other];
        foreach ($off as $i => $p) {
            $sum[] = $p * $values[$whereOff[$i]] * $others[$otherOff[$i]] + $on[$i] * $values[$whereOn[$i]] * $others[$otherOn[$i]];
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
            if (($numbers[$step] ?? 0) !== 0) {
                $touched[$m] = $this->messages[$step][$numbers[$step]] ?? $this->message($step, $effects, $numbers);
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
                $values = isset($plan['steps'][$m]) ? $this->message($plan['steps'][$m], [], []) : $this->table($plan['factors'][$m], 0);
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
                $this->constants[$f] = true;
            } else {
                $waiting['f'.$f] = true;
                $scopes['f'.$f] = $scope;
            }
        }
        $neighbours = $eventCount === 0 ? [] : array_fill(0, $eventCount, []);
        foreach ($scopes as $scope) {
            self::join($neighbours, $scope);
        }
        $fills = [];
        while ($neighbours !== []) {
            $fills += array_map(static fn (array $around): int => self::fill($around, $neighbours), array_diff_key($neighbours, $fills));
            $event = self::cheapest($fills, $heights, $counts);
            self::join($neighbours, array_keys($neighbours[$event]));
            foreach ($neighbours[$event] as $other => $_) {
                unset($neighbours[$other][$event]);
                $heights[$other] = max($heights[$other], $heights[$event] + 1);
                $fills = array_diff_key($fills, $neighbours[$other]);
            }
            $fills = array_diff_key($fills, $neighbours[$event]);
            unset($neighbours[$event], $fills[$event]);
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
     * @param non-empty-array<int, int> $fills new pairs of neighbours, by event
     * @param array<int, int> $heights how many steps lead to each event, one after the other
     * @param array<int, int> $counts of the factors of each event
     */
    private static function cheapest(array $fills, array $heights, array $counts): int
    {
        $costs = [];
        foreach ($fills as $event => $fill) {
            $costs[] = [$fill, $heights[$event], -$counts[$event], $event];
        }

        return min($costs)[3];
    }

    /**
     * How many pairs of these are not neighbours yet.
     *
     * @param array<int, true> $around
     * @param array<int, array<int, true>> $neighbours by event
     */
    private static function fill(array $around, array $neighbours): int
    {
        $pairs = 0;
        foreach ($around as $one => $_) {
            $pairs += count($around) - 1 - count(array_intersect_key($around, $neighbours[$one]));
        }

        return intdiv($pairs, 2);
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
