<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Knowledge\EventMode;
use MuteTapper\Core\Knowledge\Link;
use MuteTapper\Core\Knowledge\Network;

/**
 * The cause network bound to one engine and its evidence: noisy-OR over events whose states are summed out jointly, with causes
 * that are somewhere [own; on Pearl 1988, Shwe et al. 1991, from memory].
 */
final class Model
{
    private const EVENT_LEAK_SHARE = 0.10;
    private const MOST_PLACED = 1_000_000;

    public readonly Ground $ground;
    /** What of the knowledge this engine can have. */
    public readonly Network $network;
    /** @var array<string, string> causes that the build rules out, with the flag */
    public readonly array $excluded;
    /** @var array<string, float> by cause, normalised over those that the build allows */
    public readonly array $priors;
    /** @var list<string> events with a looked-at descendant */
    public readonly array $events;
    public readonly Elimination $elimination;
    /** @var list<LaidItem> by number */
    public readonly array $items;
    /** @var array<string, int> number of the item by sign */
    public readonly array $numberOf;
    private readonly Graph $graph;
    private readonly Factors $factors;
    private readonly Effects $effects;
    private readonly Wirings $wirings;
    private readonly Places $places;
    /** @var array<string, list<array{LaidItem, Link}>> what was recorded of the signs of each cause and mechanism */
    private readonly array $marks;
    /** @var array<string, list<PlacedCause>> */
    private array $placed = [];
    private int $placedCount = 0;
    /** @var array<int, Way> by number of the only member */
    private array $ways = [];
    /** @var array<int, float> likelihood by the numbers of the members */
    private array $likelihoods = [];

    /**
     * @param array<string, Item> $items
     * @param list<string> $failed stations reported failed
     */
    public function __construct(
        private readonly Network $whole,
        private readonly Engine $engine,
        array $items,
        public readonly array $failed = [],
        public readonly CarryOver $carryOver = new CarryOver(),
    ) {
        $this->ground = Ground::of($engine);
        $this->network = $whole->on($engine);
        $this->excluded = $whole->excludedOn($engine);
        $weights = array_map(static fn ($cause): float => $cause->weight($engine), $this->network->causes);
        $total = array_sum($weights);
        $this->priors = array_map(static fn (float $weight): float => $weight / $total, $weights);
        $this->items = array_map(fn (Item $item): LaidItem => LaidItem::on($this->ground, $item), array_values($items));
        $this->numberOf = array_flip(array_keys($items));
        $marks = [];
        foreach ($this->items as $laid) {
            foreach ($this->network->signLinks[$laid->item->sign] ?? [] as $link) {
                $marks[$link->parent][] = [$laid, $link];
            }
        }
        $this->marks = $marks;
        $failedAt = $this->ground->set($failed);
        $this->graph = new Graph($this->network, $this->items, new Ratios($this->ground, $this->items, $this->network), $failedAt);
        $this->events = $this->graph->events;
        $this->places = new Places($this->ground, $this->items, $failedAt);
        $this->wirings = new Wirings($this->graph, $this->ground);
        $this->factors = new Factors($this->graph);
        $this->effects = new Effects($this->graph, $this->factors, $this->ground, $this->leaks());
        $this->elimination = new Elimination($this->factors->scopes(), $this->factors->variables(), $this->factors->table(...));
    }

    /** @return list<PlacedCause> every form and place in which a cause of this engine is tried */
    public function placed(string $cause): array
    {
        if (isset($this->placed[$cause])) {
            return $this->placed[$cause];
        }
        $placed = [];
        foreach ($this->network->causes[$cause]->forms as $form => $share) {
            foreach ($this->places->of($this->network->causes[$cause], $this->wirings->anywhere($cause, $form)) as [$extent, $ofPlace]) {
                $placed[] = $this->place($cause, $form, $extent, $share * $ofPlace);
            }
        }

        return $this->placed[$cause] = $placed;
    }

    private function place(string $cause, string $form, Extent $extent, float $share): PlacedCause
    {
        return new PlacedCause(
            $cause, $form, $extent, $share, $this->wirings->at($cause, $form, $extent->region),
            10 ** ($this->carryOver->decibans($this->network->causes[$cause]) / 10), $this->placedCount++,
        );
    }

    /** How likely the evidence is with nothing wrong, or with these at work. Up to two. */
    public function likelihood(PlacedCause ...$members): float
    {
        return match (count($members)) {
            0 => $this->likelihoods[0] ??= $this->elimination->likelihood([]),
            1 => $this->likelihoods[$members[0]->id + 1] ??= $this->likelihoodOf($this->effects->of($members[0])),
            2 => $this->likelihoods[self::key($members)] ??= $this->likelihoodOfBoth($members[0], $members[1]),
            default => throw new \LogicException('More than two causes together are not weighed.'),
        };
    }

    private function likelihoodOf(Act $act): float
    {
        return $act->constant * $this->elimination->likelihood($act->effects);
    }

    private function likelihoodOfBoth(PlacedCause $first, PlacedCause $second): float
    {
        return $this->effects->of($first)->constant * $this->effects->of($second)->constant
            * $this->elimination->likelihoodOfBoth($this->wayOf($first), $this->wayOf($second), $this->effects->ofBoth($first, $second));
    }

    /** How likely the evidence is with something at work that is not listed: it switches everything on a little, free in place. */
    public function likelihoodOfOther(): float
    {
        return $this->likelihoodOf($this->effects->ofOther());
    }

    /** P(event | evidence) with these at work. */
    public function eventProbability(string $event, PlacedCause ...$members): float
    {
        $number = $this->graph->numberOf[$event] ?? null;

        return $number === null ? 0.0 : $this->elimination->mean($this->way($members), $number, $this->factors->whereOn($number));
    }

    /** P(a present sign was brought about by something of the network, rather than being there by itself | evidence, these at work). */
    public function broughtAbout(string $sign, PlacedCause ...$members): float
    {
        $factor = $this->graph->factorOf[$this->numberOf[$sign]];
        $way = $this->way($members);
        $bare = $this->factors->bare($factor, $way->effects[$factor] ?? 0);

        return $this->elimination->mean($way, $factor, static function (array $table) use ($bare): array {
            foreach ($bare as $i => $none) {
                $table[$i] -= $none;
            }

            return array_values($table);
        });
    }

    /**
     * Where members lead to a sign: the covers of all its parents that they bring about; null where they lead to none.
     */
    public function ledTo(string $sign, PlacedCause ...$members): ?StationSet
    {
        return $this->effects->ledTo($this->numberOf[$sign], $members);
    }

    /** Whether an event is contradicted wherever it would be: each of the stations lacks a mark that it would nearly always leave. */
    public function deniedAt(string $event, StationSet $stations): bool
    {
        return isset($this->graph->numberOf[$event]) && $this->graph->denied[$this->graph->numberOf[$event]]->holds($stations);
    }

    /** @return list<array{LaidItem, Link}> what was recorded of the signs that a cause or mechanism itself brings about */
    public function marksOf(string $parent): array
    {
        return $this->marks[$parent] ?? [];
    }

    /** What the spread of its mechanism's marks adds to a present sign that a cause leads to: a factor, one where it leads elsewhere. */
    public function spread(string $sign, PlacedCause $placed): float
    {
        $number = $this->numberOf[$sign];
        $led = $this->ledTo($sign, $placed);
        if ($led === null || !$led->touches($this->items[$number]->marked) || !$this->items[$number]->isPlaced) {
            return 1.0;
        }

        $stray = $this->graph->ratios->stray($this->items[$number], $led);

        return $this->graph->ratios->spread($number, $this->rowOf($sign, $placed)) ** (1 - $stray);
    }

    /** @return list<MarkSpread> how the marks of each mechanism lie */
    public function spreads(): array
    {
        return $this->graph->ratios->spreads;
    }

    /** The row of the table by which the marks of a sign are expected to lie if the cause is at work. */
    public function rowOf(string $sign, PlacedCause $placed): SpreadRow
    {
        return Ratios::row($placed->extent, $this->modeTo($this->numberOf[$sign], $placed));
    }

    /** The mode of the mechanism through which a cause leads to an item most strongly. */
    private function modeTo(int $number, PlacedCause $placed): EventMode
    {
        $best = $placed->wiring->signs[$number] ?? 0.0;
        $mode = EventMode::Same;
        foreach ($this->graph->signParents[$number] as [$event, $link]) {
            $path = ($placed->wiring->paths[$event] ?? 0.0) * $link->probability;
            if ($path > $best) {
                [$best, $mode] = [$path, $this->graph->modes[$event]];
            }
        }

        return $mode;
    }

    /** The same cause in the same place, as this model has it. */
    public function like(PlacedCause $placed): PlacedCause
    {
        foreach ($this->placed($placed->cause) as $own) {
            if ($own->form === $placed->form && $own->extent->key === $placed->extent->key) {
                return $own;
            }
        }

        return $this->place($placed->cause, $placed->form, $placed->extent, $placed->share);
    }

    /**
     * The same engine and knowledge without some of the evidence.
     *
     * @param \Closure(Item): bool $which
     */
    public function without(\Closure $which): self
    {
        $items = [];
        foreach ($this->items as $laid) {
            if (!$which($laid->item)) {
                $items[$laid->item->sign] = $laid->item;
            }
        }

        return new self($this->whole, $this->engine, $items, $this->failed, $this->carryOver);
    }

    /** @return list<string> signs that are present */
    public function presentSigns(): array
    {
        return array_map(fn (int $number): string => $this->items[$number]->item->sign, $this->graph->present);
    }

    /**
     * Expected logarithm of each item's weight, with all evidence raised to a power.
     *
     * @param Elimination $path the plan at that power
     * @param list<PlacedCause> $members
     *
     * @return array<string, float> by sign
     */
    public function slopes(Elimination $path, float $power, array $members): array
    {
        $way = $path->way(self::key($members), fn (): array => $this->effectsOf($members));
        $on = [];
        foreach ($this->graph->marks as $event => $marks) {
            if (array_diff(array_column($marks, 0), $this->graph->present) !== []) {
                $on[$event] = $path->mean($way, $event, $this->factors->whereOn($event));
            }
        }
        $slopes = [];
        foreach ($this->numberOf as $sign => $number) {
            $slopes[$sign] = isset($this->graph->factorOf[$number])
                ? $path->mean($way, $this->graph->factorOf[$number], static function (array $table) use ($power): array {
                    foreach ($table as $i => $f) {
                        $table[$i] = $f * log($f) / $power;
                    }

                    return array_values($table);
                })
                : $this->effects->absentSlope($number, $on, $members);
        }

        return $slopes;
    }

    private function wayOf(PlacedCause $member): Way
    {
        return $this->ways[$member->id] ??= $this->way([$member]);
    }

    /** @param array<PlacedCause> $members */
    private function way(array $members): Way
    {
        return $this->elimination->way(self::key($members), fn (): array => $this->effectsOf($members));
    }

    /**
     * What up to two do to each factor.
     *
     * @param array<PlacedCause> $members
     *
     * @return array<int, int> ascending
     */
    private function effectsOf(array $members): array
    {
        $members = array_values($members);
        $effects = count($members) === 2 ? $this->effects->ofBoth($members[0], $members[1]) : [];
        foreach ($members as $member) {
            $effects += $this->effects->of($member)->effects;
        }
        ksort($effects);

        return $effects;
    }

    /**
     * The numbers of up to two members as one.
     *
     * @param array<PlacedCause> $members
     */
    private static function key(array $members): int
    {
        $key = 0;
        foreach ($members as $member) {
            $number = $member->id + 1;
            $key = $number < $key ? $number * self::MOST_PLACED + $key : $key * self::MOST_PLACED + $number;
        }

        return $key;
    }

    /** @return array<int, float> how likely each event comes about by itself: a share of how likely its causes bring it about */
    private function leaks(): array
    {
        $leaks = array_fill(0, count($this->events), 0.0);
        foreach ($this->network->causes as $code => $cause) {
            foreach ($cause->forms as $form => $share) {
                foreach ($this->wirings->anywhere($code, $form)->paths as $event => $path) {
                    $leaks[$event] += self::EVENT_LEAK_SHARE * $this->priors[$code] * $share * $path;
                }
            }
        }

        return $leaks;
    }
}
