<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/**
 * Sums a product of factors over all states of the events, exactly, by variable elimination. One plan serves all explanations. What an
 * explanation does to a factor is an effect, nought where it does nothing. All that reaches a step is known by one number, the tokens of
 * these effects taken together, and what a step yields is kept by it, so that explanations which act alike share it. [Zobrist 1970, from
 * memory; of ten thousand numbers of sixty-four bits two meet by chance less than once in 10¹¹ cases.].
 */
final class Elimination
{
    /** In the order of elimination a table of an event makes up for so many steps below it. */
    private const TABLE = 2;

    /** @var list<Step> */
    private array $steps = [];
    /** @var array<int, int|null> the step into which each step's message goes */
    private array $next = [];
    /** @var array<int, int|null> the step in which each factor is multiplied; null where it is a constant */
    private array $stepOf = [];
    /** @var list<int> steps whose message goes nowhere: what is left of all events */
    private array $last = [];
    /** @var array<int, int> factors without events, by their number; the table of none is nought */
    private array $constants = [];
    /** What they come to where none is touched. */
    private ?float $still = null;
    /** @var array<int, array<int, int>> of each effect, by factor */
    private array $tokens = [];
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
    /** How many places of messages were worked out: what a ranking costs, whatever the machine. */
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
        return $this->constant($effects) * $this->sum($effects, ...$this->follow($effects, false));
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
        $met = $this->meeting($one->met, $other->met);
        $constant = $one->constant * $other->constant / $this->still();
        $changes = [];
        foreach ($shared as $factor => $effect) {
            $s = $this->stepOf[$factor];
            if ($s === null) {
                $constant *= $this->table($factor, $effect)[0] * $this->table($factor, 0)[0]
                    / ($this->table($factor, $one->effects[$factor])[0] * $this->table($factor, $other->effects[$factor])[0]);
                continue;
            }
            $change = $one->tokens[$factor] ^ $other->tokens[$factor]
                ^ ($effect === 0 ? 0 : $this->tokens[$factor][$effect] ?? $this->token($factor, $effect));
            if ($change !== 0) {
                $changes[$s] = ($changes[$s] ?? 0) ^ $change;
                $met = $effect === 0 ? $met : $this->meeting($met, $s);
            }
        }
        $numbers = $one->numbers + $other->numbers;
        foreach (array_intersect_key($one->numbers, $other->numbers) as $s => $number) {
            $change = $changes[$s] ?? 0;
            $numbers[$s] = $number ^ $other->numbers[$s] ^ $change;
            if ($s === $met) {
                break;
            }
            if ($change !== 0) {
                $next = $this->next[$s];
                $changes[$next] = ($changes[$next] ?? 0) ^ $change;
            }
        }

        return $constant * $this->sum($shared + $one->effects + $other->effects, $numbers, $met);
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
        $powered->messages = $powered->beyond = $powered->tables = $powered->resting = $powered->ways = $powered->around = [];
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
                $numbers[$s] = ($numbers[$s] ?? 0) ^ ($this->tokens[$factor][$effect] ?? $this->token($factor, $effect));
            }
        }
        $waiting = count($numbers);
        $met = null;
        foreach ($waiting > 0 ? $this->next : [] as $s => $next) {
            if (!isset($numbers[$s])) {
                continue;
            }
            if ($waiting === 1) {
                $met ??= $s; // trees before it in the plan were followed to their ends
                if (!$isWhole) {
                    break;
                }
            }
            if ($next === null) {
                --$waiting;
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
        $tokens = [];
        foreach ($effects as $factor => $effect) {
            $tokens[$factor] = $this->token($factor, $effect);
        }

        return new Way($key, $effects, $tokens, $this->constant($effects), $numbers, $met);
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
     * Sum over all states, but for the factors without events. Beyond where all that is touched has come together all is as with none.
     *
     * @param array<int, int> $effects
     * @param array<int, int> $numbers of what reaches the steps
     */
    private function sum(array $effects, array $numbers, ?int $met): float
    {
        $total = 1.0;
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
        return $this->still ??= array_product(array_map(fn (int $factor): float => $this->table($factor, 0)[0], $this->constants));
    }

    /**
     * What the factors without events come to.
     *
     * @param array<int, int> $effects
     */
    private function constant(array $effects): float
    {
        $constant = $this->still();
        foreach (array_intersect_key($effects, $this->constants) as $factor => $effect) {
            $constant *= $this->table($factor, $effect)[0] / $this->table($factor, 0)[0];
        }

        return $constant;
    }

    /** What stands for an effect on a factor in the number of what reaches a step; nought where it does nothing. */
    private function token(int $factor, int $effect): int
    {
        return $effect === 0 ? 0 : $this->tokens[$factor][$effect] ??= self::drawn($factor.' '.$effect);
    }

    /** Sixty-four bits, as if drawn. */
    private static function drawn(string $of): int
    {
        /** @var array{1: int} $bits */
        $bits = unpack('q', hash('xxh3', $of, true));

        return $bits[1];
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
        $of = (int) array_search($factor, $this->steps[$s]->factors, true);

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
        $of = (int) array_search($s, $this->steps[$next]->steps, true);

        return $this->onto($this->steps[$s]->size, $next, $of, $known[$next], $effects, $numbers);
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
        [$touched, $mask, $whenOff, $whenOn] = $this->touched($s, $effects, $numbers, $of);
        $mask |= 1 << $of;
        [$off, $on] = $this->resting[$s][$mask] ??= $this->resting($s, $mask);
        foreach ($touched as $m => $values) {
            self::times($off, $on, $values, $this->steps[$s]->maps[$m]);
        }
        [$whereOff, $whereOn] = $this->steps[$s]->maps[$of];
        $sums = array_fill(0, $size, 0.0);
        foreach ($beyond as $i => $p) {
            $sums[$whereOff[$i]] += $off[$i] * $whenOff * $p;
            $sums[$whereOn[$i]] += $on[$i] * $whenOn * $p;
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
        $this->worked += $this->steps[$s]->size;
        [$touched, $mask, $whenOff, $whenOn] = $this->touched($s, $effects, $numbers);
        [$off, $on] = $this->resting[$s][$mask] ??= $this->resting($s, $mask);
        $maps = $this->steps[$s]->maps;
        $last = array_key_last($touched);
        $values = array_pop($touched);
        $other = array_key_last($touched);
        $others = array_pop($touched);
        foreach ($touched as $m => $rest) {
            self::times($off, $on, $rest, $maps[$m]);
        }
        $sum = [];
        if ($last === null || $values === null) {
            foreach ($off as $i => $p) {
                $sum[] = $p * $whenOff + $on[$i] * $whenOn;
            }

            return $sum;
        }
        [$whereOff, $whereOn] = $maps[$last];
        if ($other === null || $others === null) {
            foreach ($off as $i => $p) {
                $sum[] = $p * $whenOff * $values[$whereOff[$i]] + $on[$i] * $whenOn * $values[$whereOn[$i]];
            }

            return $sum;
        }
        [$otherOff, $otherOn] = $maps[$other];
        foreach ($off as $i => $p) {
            $sum[] = $p * $whenOff * $values[$whereOff[$i]] * $others[$otherOff[$i]]
                + $on[$i] * $whenOn * $values[$whereOn[$i]] * $others[$otherOn[$i]];
        }

        return $sum;
    }

    /**
     * What is not as with nothing at work in a step.
     *
     * @param array<int, int> $effects
     * @param array<int, int> $numbers of what reaches the steps before
     * @param int|null $but position of a table that is left out
     *
     * @return array{array<int, list<float>>, int, float, float} tables by position, a bit for each, and the product of those that tell of
     *                                                           the event of the step alone: where it did not happen, and where it did
     */
    private function touched(int $s, array $effects, array $numbers, ?int $but = null): array
    {
        $touched = [];
        $mask = 0;
        $off = $on = 1.0;
        foreach ($this->steps[$s]->factors as $m => $factor) {
            $effect = $effects[$factor] ?? 0;
            if ($effect !== 0 && $m !== $but) {
                $values = $this->tables[$factor][$effect] ?? $this->table($factor, $effect);
                $mask |= 1 << $m;
                if (isset($values[2])) {
                    $touched[$m] = $values;
                } else {
                    $off *= $values[0];
                    $on *= $values[1];
                }
            }
        }
        foreach ($this->steps[$s]->steps as $m => $step) {
            if (($numbers[$step] ?? 0) !== 0 && $m !== $but) {
                $values = $this->messages[$step][$numbers[$step]] ?? $this->message($step, $effects, $numbers);
                $mask |= 1 << $m;
                if (isset($values[2])) {
                    $touched[$m] = $values;
                } else {
                    $off *= $values[0];
                    $on *= $values[1];
                }
            }
        }

        return [$touched, $mask, $off, $on];
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
        $step = $this->steps[$s];
        $off = $on = array_fill(0, $step->size, 1.0);
        foreach ($step->maps as $m => $map) {
            if (($touched >> $m & 1) === 0) {
                $values = isset($step->steps[$m]) ? $this->message($step->steps[$m], [], []) : $this->table($step->factors[$m], 0);
                self::times($off, $on, $values, $map);
            }
        }

        /**
         * @var list<float> $off no place was added
         * @var list<float> $on
         */
        return [$off, $on];
    }

    /**
     * @param array<int, float> $off
     * @param array<int, float> $on
     * @param list<float> $values
     * @param array{list<int>, list<int>} $map
     */
    private static function times(array &$off, array &$on, array $values, array $map): void
    {
        foreach ($map[0] as $i => $j) {
            $off[$i] *= $values[$j];
        }
        foreach ($map[1] as $i => $j) {
            $on[$i] *= $values[$j];
        }
    }

    /**
     * Chooses the order and lays out, per step, how the indices of its tables follow the step's own. Of the events with the fewest
     * neighbours, so that tables stay small, the one goes first that has many tables for the steps below it, so that what explanations
     * touch comes together soon [own; tried on whole records]; of those alike the one whose elimination makes the fewest events neighbours
     * (least fill).
     *
     * @param list<list<int>> $scopes events of each factor
     */
    private function plan(array $scopes, int $eventCount): void
    {
        $neighbours = $factorsOf = $messagesOf = $eventCount === 0 ? [] : array_fill(0, $eventCount, []);
        foreach ($scopes as $f => $scope) {
            $this->stepOf[$f] = null;
            foreach ($scope as $event) {
                $factorsOf[$event][$f] = $scope;
            }
            if ($scope === []) {
                $this->constants[$f] = $f;
            }
            self::join($neighbours, $scope);
        }
        $below = []; // of each step, itself and those that lead to it
        $cost = static function (int $event) use (&$neighbours, &$factorsOf, &$messagesOf, &$below): array {
            $tables = count($factorsOf[$event]) + count($messagesOf[$event]);

            return [count($neighbours[$event]), array_sum(array_intersect_key($below, $messagesOf[$event])) - self::TABLE * $tables];
        };
        $costs = array_map($cost, array_keys($neighbours));
        while ($costs !== []) {
            /** @var non-empty-list<int> $alike */
            $alike = array_keys($costs, min($costs), true);
            $event = min(array_map(static fn (int $one): array => [self::fill($neighbours[$one], $neighbours), $one], $alike))[1];
            $others = array_keys($neighbours[$event]);
            sort($others);
            self::join($neighbours, $others);
            unset($costs[$event]);
            $this->width = max($this->width, count($others) + 1);
            $s = count($this->steps);
            $below[$s] = 1;
            $steps = $maps = [];
            $factors = array_keys($factorsOf[$event]);
            foreach ($factorsOf[$event] as $f => $scope) {
                $this->stepOf[$f] = $s;
                $maps[] = self::map($others, $event, $scope);
                foreach ($scope as $one) {
                    unset($factorsOf[$one][$f]);
                }
            }
            foreach ($messagesOf[$event] as $from => $scope) {
                $this->next[$from] = $s;
                $below[$s] += $below[$from];
                $steps[count($maps)] = $from;
                $maps[] = self::map($others, $event, $scope);
                foreach ($scope as $one) {
                    unset($messagesOf[$one][$from]);
                }
            }
            foreach ($others as $other) {
                unset($neighbours[$other][$event]);
                $messagesOf[$other][$s] = $others;
                $costs[$other] = $cost($other);
            }
            $this->steps[] = new Step($factors, $steps, $maps, 1 << count($others));
            $this->next[] = null;
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
     * For each index over some events, the index into a table over an event and some of them: where that one did not happen, and where it
     * did.
     *
     * @param list<int> $others ascending
     * @param list<int> $scope of the table
     *
     * @return array{list<int>, list<int>}
     */
    private static function map(array $others, int $event, array $scope): array
    {
        $bits = array_flip($scope);
        $off = [0];
        foreach ($others as $other) {
            $bit = isset($bits[$other]) ? 1 << $bits[$other] : 0;
            foreach ($off as $index) {
                $off[] = $index | $bit;
            }
        }
        $on = [];
        foreach ($off as $index) {
            $on[] = $index | 1 << $bits[$event];
        }

        return [$off, $on];
    }
}
