<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Knowledge\EventMode;
use MuteTapper\Core\Knowledge\Link;
use MuteTapper\Core\Knowledge\Network;

/**
 * The cause network bound to one engine and its evidence: noisy-OR over events whose states are summed out jointly, with causes
 * that are somewhere [own; on Pearl 1988, Shwe et al. 1991, from memory]. Events and items are numbered.
 */
final class Model
{
    private const EVENT_LEAK_SHARE = 0.10;
    private const OTHER_EVENT = 0.05;
    private const OTHER_SIGN = 0.03;
    /** Members whose strongest path to an event reaches as far as this outrank others there. */
    private const RANKS = [0.4, 0.1];
    private const MOST_PLACED = 1_000_000;
    /** So finely are strengths told apart. */
    private const EXACT = 1e9;

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
    /** @var array<string, int> factor of each present sign */
    public readonly array $factorOf;
    private readonly Ratios $ratios;
    private readonly StationSet $nowhere;
    private readonly Places $places;
    /** @var array<string, int> number by event */
    private readonly array $eventNumbers;
    /** @var list<list<array{int, Link}>> links to each event from other events, by number */
    private array $eventParents = [];
    /** @var list<list<array{int, Link}>> links to each item from events, by number */
    private array $signParents = [];
    /** @var array<int, list<array{int, Link}>> links from each event to items that are absent, and to all */
    private array $absentOf = [];
    /** @var array<int, StationSet> where an event is contradicted */
    private array $denied = [];
    /** @var array<int, StationSet> where anything that an event can leave is marked, and what was reported failed */
    private array $suspect = [];
    /** @var list<int> items that are present, by factor above the events */
    private array $present = [];
    /** @var array<int, int> variable that stands for what the parents of an event leave off, by event with two parents or more */
    private array $offs = [];
    /** @var list<array{int, int, float}> event, variable and factor of each link to such an event */
    private array $shrinks = [];
    /** @var array<int, array<string, int>> number of an effect by its content, by factor */
    private array $effects = [];
    /** @var array<int, list<list<float>>> content of each effect, by factor */
    private array $contents = [];
    /** @var array<int, array<int, true>> items that hang on each event */
    private array $itemsOf = [];
    /** @var array<string, list<array{int, Link}>> links from each cause to events */
    private array $leading = [];
    /** @var array<string, list<array{int, Link}>> links from each cause to items */
    private array $leaving = [];
    /** @var array<string, bool> whether the kind of valve matters to a cause */
    private array $askForKind = [];
    /** @var array<string, Wiring> */
    private array $wirings = [];
    /** @var array<string, list<PlacedCause>> */
    private array $placed = [];
    private int $placedCount = 0;
    /** @var array<int, array<int, float>> ratios by item and the event that came about by itself */
    private array $free = [];
    /** @var array<int, array<int, array<string, array<string, float>>>> ratios by item, event, extent and where it is led to */
    private array $known = [];
    /** @var array<int, array<string, float>> what absent signs weigh, by event and extent */
    private array $absences = [];
    /** @var array<string, array<string, Extent>> where two are at work together, by the extent of each */
    private array $together = [];
    /** @var array<string, array<int, array<int, int>>> effects of one cause on events, by extent, event and what it leads there with itself */
    private array $alone = [];
    /** @var array<int, array<string, array<int, int>>> effects on present signs, by item, extent and the events led through, a bit each */
    private array $through = [];
    /** @var array<int, array{array<int, int>, float}> what an explanation does, by the numbers of its members */
    private array $acts = [];
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
        $this->nowhere = StationSet::none($this->ground->all->size);
        $this->network = $whole->on($engine);
        $this->excluded = $whole->excludedOn($engine);
        $weights = array_map(static fn ($cause): float => $cause->weight($engine), $this->network->causes);
        $total = array_sum($weights);
        $this->priors = array_map(static fn (float $weight): float => $weight / $total, $weights);
        $this->items = array_map(fn (Item $item): LaidItem => LaidItem::on($this->ground, $item), array_values($items));
        $this->numberOf = array_flip(array_keys($items));
        $this->events = $this->lookedAtEvents();
        $this->eventNumbers = array_flip($this->events);
        $this->ratios = new Ratios($this->ground, $this->items, $this->network);
        $this->places = new Places($this->ground, $this->items, $this->ground->set($failed));
        $this->factorOf = $this->wire();
        $this->elimination = new Elimination($this->scopes(), count($this->events) + count($this->offs), $this->table(...));
    }

    /** @return list<PlacedCause> every form and place in which a cause of this engine is tried */
    public function placed(string $cause): array
    {
        if (isset($this->placed[$cause])) {
            return $this->placed[$cause];
        }
        $placed = [];
        foreach ($this->network->causes[$cause]->forms as $form => $share) {
            foreach ($this->places->of($this->network->causes[$cause], $this->wiring($cause, $form, null)) as [$extent, $ofPlace]) {
                $kinds = $this->asksForKind($cause) ? $this->ground->kindsOf($extent->region) : null;
                $wiring = $this->wiring($cause, $form, $kinds);
                $placed[] = new PlacedCause(
                    $cause, $form, $extent, $share * $ofPlace, $wiring,
                    10 ** ($this->carryOver->decibans($this->network->causes[$cause]) / 10), $this->placedCount++,
                );
            }
        }

        return $this->placed[$cause] = $placed;
    }

    /** How likely the evidence is with nothing wrong, or with these at work. Up to two. */
    public function likelihood(PlacedCause ...$members): float
    {
        $key = self::key($members);
        if (!isset($this->likelihoods[$key])) {
            [$effects, $constant] = $this->act($members);
            $this->likelihoods[$key] = $constant * $this->elimination->likelihood($effects);
        }

        return $this->likelihoods[$key];
    }

    /** How likely the evidence is with something at work that is not listed: it switches everything on a little, free in place. */
    public function likelihoodOfOther(): float
    {
        [$effects, $constant] = $this->other();

        return $constant * $this->elimination->likelihood($effects);
    }

    /** P(event | evidence) with these at work. */
    public function eventProbability(string $event, PlacedCause ...$members): float
    {
        $number = $this->eventNumbers[$event] ?? null;

        return $number === null ? 0.0 : $this->mean($this->elimination, $members, $number, $this->whereOn($number));
    }

    /** P(a present sign was brought about by something of the network, rather than being there by itself | evidence, these at work). */
    public function broughtAbout(string $sign, PlacedCause ...$members): float
    {
        $factor = $this->factorOf[$sign];
        $bare = $this->bare($factor, $this->act($members)[0][$factor] ?? 0);

        return $this->mean($this->elimination, $members, $factor, static function (array $table) use ($bare): array {
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
        $number = $this->numberOf[$sign];
        $led = null;
        foreach ($this->extentsOver($number, $members) as $extent) {
            $led = $led === null ? $extent->cover : $led->or($extent->cover);
        }
        foreach ($members as $member) {
            if (isset($member->wiring->signs[$number])) {
                $led = $led === null ? $member->extent->cover : $led->or($member->extent->cover);
            }
        }

        return $led;
    }

    /** Whether an event is contradicted wherever it would be: each of the stations lacks a mark that it would nearly always leave. */
    public function deniedAt(string $event, StationSet $stations): bool
    {
        return isset($this->eventNumbers[$event]) && $this->denied[$this->eventNumbers[$event]]->holds($stations);
    }

    /** @return list<array{LaidItem, Link}> what was recorded of the signs that a cause or mechanism itself brings about */
    public function marksOf(string $parent): array
    {
        $marks = [];
        foreach ($this->items as $laid) {
            foreach ($this->network->signLinks[$laid->item->sign] ?? [] as $link) {
                if ($link->parent === $parent) {
                    $marks[] = [$laid, $link];
                }
            }
        }

        return $marks;
    }

    /** What the spread of its mechanism's marks adds to a present sign that a cause leads to: a factor, one where it leads elsewhere. */
    public function spread(string $sign, PlacedCause $placed): float
    {
        $number = $this->numberOf[$sign];
        $led = $this->ledTo($sign, $placed);
        if ($led === null || !$led->touches($this->items[$number]->marked) || !$this->items[$number]->isPlaced) {
            return 1.0;
        }

        return $this->ratios->spread($number, $this->rowOf($sign, $placed)) ** (1 - $this->ratios->stray($this->items[$number], $led));
    }

    /** @return list<MarkSpread> how the marks of each mechanism lie */
    public function spreads(): array
    {
        return $this->ratios->spreads;
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
        foreach ($this->signParents[$number] as [$event, $link]) {
            $path = ($placed->wiring->paths[$event] ?? 0.0) * $link->strength->probability();
            if ($path > $best) {
                [$best, $mode] = [$path, $this->network->events[$this->events[$event]]->mode];
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
        $kinds = $this->asksForKind($placed->cause) ? $this->ground->kindsOf($placed->extent->region) : null;
        $wiring = $this->wiring($placed->cause, $placed->form, $kinds);

        return new PlacedCause(
            $placed->cause, $placed->form, $placed->extent, $placed->share, $wiring, $placed->carried, $this->placedCount++,
        );
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

    /**
     * What an explanation does to each factor, and to what no event has a part in.
     *
     * @param list<PlacedCause>|array<PlacedCause> $members
     *
     * @return array{array<int, int>, float}
     */
    public function act(array $members): array
    {
        $key = self::key($members);
        if (!isset($this->acts[$key])) {
            $members = array_values($members);
            $this->acts[$key] = match (count($members)) {
                0 => [[], 1.0],
                1 => $this->actOfOne($members[0]),
                2 => $this->actOfTwo($members[0], $members[1]),
                default => throw new \LogicException('More than two causes together are not weighed.'),
            };
        }

        return $this->acts[$key];
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
        $on = [];
        foreach ($this->absentOf as $event => $absent) {
            if ($absent !== []) {
                $on[$event] = $this->mean($path, $members, $event, $this->whereOn($event));
            }
        }
        $slopes = [];
        foreach ($this->numberOf as $sign => $number) {
            $slopes[$sign] = isset($this->factorOf[$sign])
                ? $this->mean($path, $members, $this->factorOf[$sign], static function (array $table) use ($power): array {
                    foreach ($table as $i => $f) {
                        $table[$i] = $f * log($f) / $power;
                    }

                    return array_values($table);
                })
                : $this->absentSlope($number, $on, $members);
        }

        return $slopes;
    }

    /**
     * @param array<int, float> $on probability of each event
     * @param list<PlacedCause> $members
     */
    private function absentSlope(int $number, array $on, array $members): float
    {
        $slope = 0.0;
        foreach ($this->signParents[$number] as [$event, $link]) {
            $extent = $this->extent($event, $members);
            $slope += $on[$event] * log(self::shrunk($this->strength($link, $extent), $this->ratio($number, $event, $extent, null)));
        }
        foreach ($members as $member) {
            $slope += isset($member->wiring->signs[$number]) ? log($this->directly($number, $member)) : 0.0;
        }

        return $slope;
    }

    /**
     * @param Elimination $plan this one, or the same at a power
     * @param array<PlacedCause> $members
     * @param \Closure(list<float>): list<float> $turned
     */
    private function mean(Elimination $plan, array $members, int $factor, \Closure $turned): float
    {
        return $plan->mean(self::key($members), $this->act($members)[0], $factor, $turned);
    }

    /** @return \Closure(list<float>): list<float> the part of an event's table in which it happened */
    private function whereOn(int $event): \Closure
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

    /**
     * The numbers of up to two members as one.
     *
     * @param array<PlacedCause> $members
     */
    private static function key(array $members): int
    {
        $least = $most = 0;
        foreach ($members as $member) {
            $number = $member->id + 1;
            $least = min($number, $most);
            $most = max($number, $most);
        }

        return $least * self::MOST_PLACED + $most;
    }

    /** @return list<string> */
    private function lookedAtEvents(): array
    {
        $wanted = [];
        foreach ($this->items as $laid) {
            foreach ($this->network->signLinks[$laid->item->sign] ?? [] as $link) {
                $wanted[$link->parent] = true;
            }
        }
        foreach (array_reverse($this->network->events) as $code => $event) {
            foreach (isset($wanted[$code]) ? $event->parents : [] as $link) {
                $wanted[$link->parent] = true;
            }
        }

        return array_values(array_filter(array_keys($this->network->events), static fn (string $code): bool => isset($wanted[$code])));
    }

    /** @return array<string, int> factors of the present signs */
    private function wire(): array
    {
        $leaks = [];
        $failed = $this->ground->set($this->failed);
        $below = [];
        foreach ($this->network->paths() as $event => $paths) {
            foreach ($paths as $cause => $path) {
                $leaks[$event] = ($leaks[$event] ?? 0.0) + self::EVENT_LEAK_SHARE * $this->priors[$cause] * $path;
            }
        }
        foreach ($this->events as $number => $code) {
            $this->eventParents[$number] = $this->fromEvents($this->network->events[$code]->parents);
            $this->absentOf[$number] = $this->itemsOf[$number] = $below[$number] = [];
            foreach ($this->network->events[$code]->parents as $link) {
                if (!isset($this->eventNumbers[$link->parent])) {
                    $this->leading[$link->parent][] = [$number, $link];
                }
            }
        }
        $factorOf = [];
        foreach ($this->items as $number => $laid) {
            $this->signParents[$number] = $this->fromEvents($this->network->signLinks[$laid->item->sign] ?? []);
            foreach ($this->network->signLinks[$laid->item->sign] ?? [] as $link) {
                if (!isset($this->eventNumbers[$link->parent])) {
                    $this->leaving[$link->parent][] = [$number, $link];
                }
            }
            foreach ($this->signParents[$number] as [$event, $link]) {
                $below[$event][] = [$number, $link];
                $this->itemsOf[$event][$number] = true;
                if (!$laid->item->isPresent) {
                    $this->absentOf[$event][] = [$number, $link];
                }
            }
            if ($laid->item->isPresent) {
                $factorOf[$laid->item->sign] = count($this->events) + count($this->present);
                $this->present[] = $number;
            }
        }
        for ($number = count($this->events) - 1; $number >= 0; --$number) {
            $this->denied[$number] = $this->ratios->denied($below[$number]);
            $this->suspect[$number] = $this->markedBy(array_column($below[$number], 0), $failed)->or($this->suspect[$number] ?? $failed);
            foreach ($this->eventParents[$number] as [$parent]) {
                $this->suspect[$parent] = ($this->suspect[$parent] ?? $failed)->or($this->suspect[$number]);
            }
        }
        foreach ($this->eventParents as $number => $parents) {
            if (count($parents) > 1) {
                $this->offs[$number] = $off = count($this->events) + count($this->offs);
                foreach ($parents as [$parent, $link]) {
                    $this->shrinks[] = [$parent, $off, 1 - $link->strength->probability()];
                }
            }
        }
        foreach ($this->events as $number => $code) {
            $this->effect($number, [1 - ($leaks[$code] ?? 0.0), $this->absence($number, null)]);
        }
        foreach ($this->present as $k => $number) {
            $this->effect(count($this->events) + $k, $this->signContent($number, [], [], null));
        }

        return $factorOf;
    }

    /**
     * @param list<Link> $links
     *
     * @return list<array{int, Link}> ascending by event
     */
    private function fromEvents(array $links): array
    {
        $found = [];
        foreach ($links as $link) {
            if (isset($this->eventNumbers[$link->parent])) {
                $found[$this->eventNumbers[$link->parent]] = [$this->eventNumbers[$link->parent], $link];
            }
        }
        ksort($found);

        return array_values($found);
    }

    /** @param list<int> $items */
    private function markedBy(array $items, StationSet $and): StationSet
    {
        foreach ($items as $number) {
            if ($this->items[$number]->isPlaced) {
                $and = $and->or($this->items[$number]->marked);
            }
        }

        return $and;
    }

    /** @param string|null $kinds kinds of valve in its region; null for any */
    private function wiring(string $cause, string $form, ?string $kinds): Wiring
    {
        return $this->wirings[$cause.' '.$form.' '.$kinds] ??= $this->wired($cause, $form, $kinds);
    }

    /** Whether a cause leads elsewhere at one kind of valve than at the other. */
    private function asksForKind(string $cause): bool
    {
        if (!isset($this->askForKind[$cause])) {
            $this->askForKind[$cause] = false;
            foreach ([...$this->leading[$cause] ?? [], ...$this->leaving[$cause] ?? []] as [, $link]) {
                $this->askForKind[$cause] = $this->askForKind[$cause] || $link->at !== null;
            }
        }

        return $this->askForKind[$cause];
    }

    private function wired(string $cause, string $form, ?string $kinds): Wiring
    {
        $events = $signs = $paths = $ranks = $reach = $own = [];
        foreach ($this->network->pathsFrom($cause, $form, $kinds) as $code => $path) {
            if (isset($this->eventNumbers[$code])) {
                $number = $this->eventNumbers[$code];
                $paths[$number] = $path;
                $ranks[$number] = self::rank($path);
                $reach += $this->itemsOf[$number];
            }
        }
        foreach ($this->leading[$cause] ?? [] as [$number, $link]) {
            if ($link->holds($form, $kinds)) {
                $events[$number] = $link->strength->probability();
            }
        }
        foreach ($this->leaving[$cause] ?? [] as [$number, $link]) {
            if ($link->holds($form, $kinds)) {
                $signs[$number] = $link->strength->probability();
                $own[] = [$number, $link];
                $reach[$number] = true;
            }
        }
        ksort($reach);

        return new Wiring(
            $events, $signs, $paths, $ranks, $reach, $this->ratios->denied($own),
            $this->markedBy(array_keys($reach), $this->ground->set($this->failed)),
        );
    }

    /** How many of the ranks a path reaches. */
    private static function rank(float $path): int
    {
        $rank = 0;
        foreach (self::RANKS as $least) {
            $rank += $path >= $least ? 1 : 0;
        }

        return $rank;
    }

    /**
     * Where an event that the members lead to is at work: where the member is that leads there more strongly, or where both
     * are; one that is somewhere unknown yields. Null where none leads to it.
     *
     * @param array<PlacedCause> $members
     */
    private function extent(int $event, array $members): ?Extent
    {
        $held = null;
        $rank = 0;
        foreach ($members as $member) {
            if (!isset($member->wiring->ranks[$event])) {
                continue;
            }
            $own = $member->wiring->ranks[$event];
            if ($held === null) {
                $held = $member->extent;
                $rank = $own;
                continue;
            }
            $held = match (true) {
                $held->isElsewhere !== $member->extent->isElsewhere => $held->isElsewhere ? $member->extent : $held,
                $own !== $rank => $own > $rank ? $member->extent : $held,
                default => $this->together[$held->key][$member->extent->key] ??= $held->with($member->extent),
            };
        }

        return $held;
    }

    /**
     * @param array<PlacedCause> $members
     *
     * @return array<int, Extent> of the events that a sign hangs on, as far as members lead to them
     */
    private function extentsOver(int $number, array $members): array
    {
        $extents = [];
        foreach ($this->signParents[$number] as [$event]) {
            $extent = $this->extent($event, $members);
            if ($extent !== null) {
                $extents[$event] = $extent;
            }
        }

        return $extents;
    }

    /** @return array{array<int, int>, float} */
    private function actOfOne(PlacedCause $member): array
    {
        $effects = [];
        $constant = 1.0;
        $there = $this->alone[$member->extent->key] ?? [];
        $direct = $member->wiring->events;
        foreach ($member->wiring->paths as $event => $_) {
            // What leads there as strongly itself, or through other events only, does the same wherever it is at work as far.
            $strength = isset($direct[$event]) ? (int) (self::EXACT * $direct[$event]) : 0;
            $effects[$event] = $there[$event][$strength] ??= $this->eventEffect($event, [$member]);
        }
        $this->alone[$member->extent->key] = $there;
        foreach ($member->wiring->signs as $number => $w) {
            $constant *= $this->items[$number]->item->isPresent ? 1.0 : $this->directly($number, $member);
        }
        foreach ($this->present as $k => $number) {
            if (isset($member->wiring->reach[$number])) {
                $effects[count($this->events) + $k] = $this->signEffectOfOne($number, $member);
            }
        }

        return [$effects, $constant];
    }

    /** Of a sign that a member does not leave itself, the same for all that lead to the same of its events and are at work as far. */
    private function signEffectOfOne(int $number, PlacedCause $member): int
    {
        if (isset($member->wiring->signs[$number])) {
            return $this->signEffect($number, [$member]);
        }
        $through = 0;
        foreach ($this->signParents[$number] as $i => [$event]) {
            $through |= isset($member->wiring->ranks[$event]) ? 1 << $i : 0;
        }

        return $this->through[$number][$member->extent->key][$through] ??= $this->signEffect($number, [$member]);
    }

    /**
     * What a pair does to a factor that one member alone touches is what that one does.
     *
     * @return array{array<int, int>, float}
     */
    private function actOfTwo(PlacedCause $first, PlacedCause $second): array
    {
        [$one, $constantOfOne] = $this->act([$first]);
        [$other, $constantOfOther] = $this->act([$second]);
        $effects = $one + $other;
        foreach (array_intersect_key($one, $other) as $factor => $effect) {
            $effects[$factor] = $factor < count($this->events)
                ? $this->eventEffect($factor, [$first, $second])
                : $this->signEffect($this->present[$factor - count($this->events)], [$first, $second]);
        }
        ksort($effects);

        return [$effects, $constantOfOne * $constantOfOther];
    }

    /** @param non-empty-list<PlacedCause> $members */
    private function eventEffect(int $event, array $members): int
    {
        $off = $this->contents[$event][0][0];
        foreach ($members as $member) {
            $off *= 1 - ($member->wiring->events[$event] ?? 0.0);
        }
        $extent = count($members) === 1 ? $members[0]->extent : $this->extent($event, $members);

        return $this->effect($event, [$off, $this->absence($event, $extent)]);
    }

    /** @param non-empty-list<PlacedCause> $members */
    private function signEffect(int $number, array $members): int
    {
        $extents = $direct = [];
        $led = null;
        foreach ($this->signParents[$number] as [$event]) {
            $extent = $this->extent($event, $members);
            if ($extent !== null) {
                $extents[$event] = $extent;
                $led = $led === null || $led === $extent->cover ? $extent->cover : $led->or($extent->cover);
            }
        }
        foreach ($members as $member) {
            if (isset($member->wiring->signs[$number])) {
                $direct[] = $member;
                $led = $led === null || $led === $member->extent->cover ? $member->extent->cover : $led->or($member->extent->cover);
            }
        }

        return $this->effect(
            $this->factorOf[$this->items[$number]->item->sign], $this->signContent($number, $extents, $direct, $led),
        );
    }

    /** @return array{array<int, int>, float} */
    private function other(): array
    {
        $effects = [];
        $constant = 1.0;
        $nowhere = $this->nowhere;
        foreach (array_keys($this->events) as $event) {
            [$off, $absence] = $this->contents[$event][0];
            $effects[$event] = $this->effect($event, [$off * (1 - self::OTHER_EVENT), $absence]);
        }
        foreach ($this->items as $number => $laid) {
            $ratio = $this->ratios->free($number, $nowhere, $nowhere);
            if ($laid->item->isPresent) {
                $factor = $this->factorOf[$laid->item->sign];
                $effects[$factor] = $this->effect($factor, [...$this->contents[$factor][0], self::OTHER_SIGN, $ratio]);
            } else {
                $constant *= self::shrunk(self::OTHER_SIGN, $ratio);
            }
        }
        ksort($effects);

        return [$effects, $constant];
    }

    /**
     * What decides a present sign: strength and evidence ratio for each event that it hangs on, then for each cause at work.
     *
     * @param array<int, Extent> $extents
     * @param list<PlacedCause> $direct members that leave it themselves
     * @param StationSet|null $led covers of all of these; null where there are none
     *
     * @return list<float>
     */
    private function signContent(int $number, array $extents, array $direct, ?StationSet $led): array
    {
        $content = [];
        foreach ($this->signParents[$number] as [$event, $link]) {
            $content[] = $this->strength($link, $extents[$event] ?? null);
            $content[] = $this->ratio($number, $event, $extents[$event] ?? null, $led);
        }
        foreach ($direct as $member) {
            $content[] = $member->wiring->signs[$number];
            $content[] = $this->ratios->of(
                $number, $member->extent, EventMode::Same, $this->nowhere, $led ?? $member->extent->cover, $member->wiring->suspect,
            );
        }

        return $content;
    }

    private function strength(Link $link, ?Extent $extent): float
    {
        $isThere = $link->at === null || $extent === null || $this->ground->kinds[$link->at->value]->touches($extent->region);

        return $isThere ? $link->strength->probability() : 0.0;
    }

    /** @param StationSet|null $led null where it is the cover of the extent: a single member, or a sign that is absent everywhere */
    private function ratio(int $number, int $event, ?Extent $extent, ?StationSet $led): float
    {
        if ($extent === null) {
            return $this->free[$number][$event] ??= $this->ratios->free($number, $this->denied[$event], $this->suspect[$event]);
        }
        $where = $led === null || $led->equals($extent->cover) ? '' : $led->key();

        return $this->known[$number][$event][$extent->key][$where] ??= $this->ratios->of(
            $number, $extent, $this->network->events[$this->events[$event]]->mode, $this->deniedIn($event, $extent->region),
            $led ?? $extent->cover, $this->suspect[$event],
        );
    }

    /** An event that is contradicted all over its region is contradicted nowhere in particular: its absent marks say so already. */
    private function deniedIn(int $event, StationSet $region): StationSet
    {
        if ($this->denied[$event]->isEmpty()) {
            return $this->nowhere;
        }
        $denied = $this->denied[$event]->and($region);

        return $denied->equals($region) ? $this->nowhere : $denied;
    }

    /** What all absent signs of an event weigh together if it happened there. */
    private function absence(int $event, ?Extent $extent): float
    {
        $key = $extent->key ?? '';
        if (!isset($this->absences[$event][$key])) {
            $weight = 1.0;
            foreach ($this->absentOf[$event] as [$number, $link]) {
                $weight *= self::shrunk($this->strength($link, $extent), $this->ratio($number, $event, $extent, null));
            }
            $this->absences[$event][$key] = $weight;
        }

        return $this->absences[$event][$key];
    }

    /** What an absent sign weighs that a member would leave itself. */
    private function directly(int $number, PlacedCause $member): float
    {
        $ratio = $this->ratios->of(
            $number, $member->extent, EventMode::Same, $this->nowhere, $member->extent->cover, $member->wiring->suspect,
        );

        return self::shrunk($member->wiring->signs[$number], $ratio);
    }

    private static function shrunk(float $strength, float $ratio): float
    {
        return 1 - $strength * (1 - $ratio);
    }

    /** @param list<float> $content */
    private function effect(int $factor, array $content): int
    {
        $key = pack('d*', ...$content);
        if (!isset($this->effects[$factor][$key])) {
            $this->effects[$factor][$key] = count($this->contents[$factor] ?? []);
            $this->contents[$factor][] = $content;
        }

        return $this->effects[$factor][$key];
    }

    /** @return list<int> variables of an event's own factor, ascending: the event, and what its parents leave off */
    private function scopeOf(int $event): array
    {
        $scope = [$event, ...isset($this->offs[$event]) ? [$this->offs[$event]] : array_column($this->eventParents[$event], 0)];
        sort($scope);

        return $scope;
    }

    /** @return list<list<int>> variables of each factor */
    private function scopes(): array
    {
        return [
            ...array_map($this->scopeOf(...), array_keys($this->events)),
            ...array_map(fn (int $number): array => array_column($this->signParents[$number], 0), $this->present),
            ...array_map(static fn (array $shrink): array => [$shrink[0], $shrink[1]], $this->shrinks),
        ];
    }

    /** @return list<float> */
    private function table(int $factor, int $effect, float $power): array
    {
        $events = count($this->events);
        $own = $events + count($this->present);

        return match (true) {
            $factor < $events => $this->eventTable($factor, $this->contents[$factor][$effect], $power),
            $factor < $own => $this->signTable($factor, $this->contents[$factor][$effect], $power),
            default => [1.0, 1.0, 1.0, $this->shrinks[$factor - $own][2]],
        };
    }

    /**
     * P(event | its parents), by noisy-OR, with the weight of its absent signs where it happened. Off is a product over the
     * parents and on is one less that product: with a variable for the product no table holds more than one parent.
     *
     * @param list<float> $content
     *
     * @return list<float>
     */
    private function eventTable(int $event, array $content, float $power): array
    {
        [$off, $absence] = $content;
        $weight = $absence ** $power;
        if (isset($this->offs[$event])) {
            return [0.0, $weight, $off, -$off * $weight];
        }
        if ($this->eventParents[$event] === []) {
            return [$off, (1 - $off) * $weight];
        }
        [[$parent, $link]] = $this->eventParents[$event];
        $shrunk = $off * (1 - $link->strength->probability());

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
    private function signTable(int $factor, array $content, float $power): array
    {
        $parents = count($this->signParents[$this->present[$factor - count($this->events)]]);
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

    /** @return list<float> 1 − W for each state: the part of a present sign's weight that nothing brought about */
    private function bare(int $factor, int $effect): array
    {
        $content = $this->contents[$factor][$effect];
        $parents = count($this->signParents[$this->present[$factor - count($this->events)]]);
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
}
