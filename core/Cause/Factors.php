<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/**
 * The factors of a graph: those of its events, then of its present signs, then of links between events. What decides one is its content; an
 * effect is the number of a content, nought where nothing is at work.
 */
final class Factors
{
    /** @var list<list<list<float>>> content of each effect */
    private array $contents = [];
    /** @var list<array<string, int>> effect by content */
    private array $effects = [];
    /** @var array<int, int> variable that stands for what the parents of an event leave off, by event with two parents or more */
    private array $offs = [];
    /** @var list<array{int, int, float}> event, variable and factor of each link to such an event */
    private array $shrinks = [];

    public function __construct(private readonly Graph $graph)
    {
        foreach ($graph->eventParents as $event => $parents) {
            if (count($parents) > 1) {
                $this->offs[$event] = $off = count($graph->events) + count($this->offs);
                foreach ($parents as [$parent, $link]) {
                    $this->shrinks[] = [$parent, $off, 1 - $link->probability];
                }
            }
        }
        $this->contents = $this->effects = array_fill(0, count($graph->events) + count($graph->present), []);
    }

    /** How many variables they are over: the events, and what parents leave off. */
    public function variables(): int
    {
        return count($this->graph->events) + count($this->offs);
    }

    /** @return list<list<int>> variables of each factor */
    public function scopes(): array
    {
        return [
            ...array_map($this->scopeOf(...), array_keys($this->graph->events)),
            ...array_map(fn (int $number): array => array_column($this->graph->signParents[$number], 0), $this->graph->present),
            ...array_map(static fn (array $shrink): array => [$shrink[0], $shrink[1]], $this->shrinks),
        ];
    }

    /**
     * @param list<float> $content of an event: the chance that its causes leave it off, and the weight of its absent signs; of a sign:
     *                             strength and evidence ratio for each event that it hangs on, then for each cause that leaves it itself
     */
    public function effect(int $factor, array $content): int
    {
        $key = pack('d*', ...$content);
        if (!isset($this->effects[$factor][$key])) {
            $this->effects[$factor][$key] = count($this->contents[$factor]);
            $this->contents[$factor][] = $content;
        }

        return $this->effects[$factor][$key];
    }

    /** @return list<float> */
    public function content(int $factor, int $effect): array
    {
        return $this->contents[$factor][$effect];
    }

    /**
     * @param float $power to which the evidence is raised
     *
     * @return list<float>
     */
    public function table(int $factor, int $effect, float $power): array
    {
        $events = count($this->graph->events);
        $own = $events + count($this->graph->present);

        return match (true) {
            $factor < $events => $this->ofEvent($factor, $this->contents[$factor][$effect], $power),
            $factor < $own => $this->ofSign($factor, $this->contents[$factor][$effect], $power),
            default => [1.0, 1.0, 1.0, $this->shrinks[$factor - $own][2]],
        };
    }

    /** @return list<float> of a present sign, 1 − W for each state: the part of its weight that nothing brought about */
    public function bare(int $factor, int $effect): array
    {
        $content = $this->contents[$factor][$effect];
        $parents = $this->parentsOf($factor);
        $table = [];
        for ($i = 0, $n = 1 << $parents; $i < $n; ++$i) {
            $none = 1.0;
            for ($p = 0, $q = 0; isset($content[$q]); ++$p, $q += 2) {
                $none *= $p >= $parents || ($i >> $p & 1) === 1 ? 1 - $content[$q] : 1.0;
            }
            $table[] = $none;
        }

        return $table;
    }

    /** @return \Closure(list<float>): list<float> the part of an event's table in which it happened */
    public function whereOn(int $event): \Closure
    {
        $bit = 1 << (int) array_search($event, $this->scopeOf($event), true);

        return static function (array $table) use ($bit): array {
            /** @var list<float> $table */
            foreach ($table as $i => $p) {
                $table[$i] = ($i & $bit) === 0 ? 0.0 : $p;
            }

            return $table;
        };
    }

    /** @return list<int> variables of an event's own factor, ascending: the event, and what its parents leave off */
    private function scopeOf(int $event): array
    {
        $scope = [$event, ...isset($this->offs[$event]) ? [$this->offs[$event]] : array_column($this->graph->eventParents[$event], 0)];
        sort($scope);

        return $scope;
    }

    /** How many events a present sign hangs on. */
    private function parentsOf(int $factor): int
    {
        return count($this->graph->signParents[$this->graph->present[$factor - count($this->graph->events)]]);
    }

    /**
     * P(event | its parents), by noisy-OR, with the weight of its absent signs where it happened. Off is a product over the
     * parents and on is one less that product: with a variable for the product no table holds more than one parent.
     *
     * @param list<float> $content
     *
     * @return list<float>
     */
    private function ofEvent(int $event, array $content, float $power): array
    {
        [$off, $absence] = $content;
        $weight = $absence ** $power;
        if (isset($this->offs[$event])) {
            return [0.0, $weight, $off, -$off * $weight];
        }
        if ($this->graph->eventParents[$event] === []) {
            return [$off, (1 - $off) * $weight];
        }
        [[$parent, $link]] = $this->graph->eventParents[$event];
        $shrunk = $off * (1 - $link->probability);

        return $parent < $event
            ? [$off, $shrunk, (1 - $off) * $weight, (1 - $shrunk) * $weight]
            : [$off, (1 - $off) * $weight, $shrunk, (1 - $shrunk) * $weight];
    }

    /**
     * A sign that is present somewhere: f = (1 − W) + W·ρ̄, over the states of the events that it hangs on.
     *
     * @param list<float> $content
     *
     * @return list<float>
     */
    private function ofSign(int $factor, array $content, float $power): array
    {
        $parents = $this->parentsOf($factor);
        $table = [];
        for ($i = 0, $n = 1 << $parents; $i < $n; ++$i) {
            $none = 1.0;
            $sum = $weighed = 0.0;
            for ($p = 0, $q = 0; isset($content[$q]); ++$p, $q += 2) {
                if ($p >= $parents || ($i >> $p & 1) === 1) {
                    $none *= 1 - $content[$q];
                    $sum += $content[$q];
                    $weighed += $content[$q] * $content[$q + 1];
                }
            }
            $f = $sum > 0.0 ? $none + (1 - $none) * $weighed / $sum : 1.0;
            $table[] = $power === 1.0 ? $f : $f ** $power;
        }

        return $table;
    }
}
