<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Knowledge\EventMode;
use MuteTapper\Core\Knowledge\Link;
use MuteTapper\Core\Knowledge\Network;

/** The network as far as a record shows it: what was recorded of signs, and the events above that, both by number. */
final readonly class Graph
{
    /** @var list<string> events with a looked-at descendant */
    public array $events;
    /** @var array<string, int> number by event */
    public array $numberOf;
    /** @var list<EventMode> by event */
    public array $modes;
    /** @var list<list<array{int, Link}>> links to each event from other events */
    public array $eventParents;
    /** @var list<list<array{int, Link}>> links to each item from events */
    public array $signParents;
    /** @var list<list<array{int, Link}>> links from each event to items */
    public array $marks;
    /** @var array<string, list<array{int, Link}>> links from each cause to events */
    public array $leading;
    /** @var array<string, list<array{int, Link}>> links from each cause to items */
    public array $leaving;
    /** @var list<int> items that are present */
    public array $present;
    /** @var array<int, int> factor of each item that is present: they follow those of the events */
    public array $factorOf;
    /** @var array<int, StationSet> where each item is marked that is somewhere in particular, by number */
    public array $marked;
    /** @var list<StationSet> where an event is contradicted */
    public array $denied;
    /** @var list<StationSet> where anything that an event can leave is marked, and what was reported failed */
    public array $suspect;

    /**
     * @param list<LaidItem> $items
     * @param StationSet $failed stations reported failed
     */
    public function __construct(public Network $network, public array $items, public Ratios $ratios, public StationSet $failed)
    {
        $this->events = $this->lookedAtEvents();
        $this->numberOf = array_flip($this->events);
        $this->modes = array_map(static fn (string $code): EventMode => $network->events[$code]->mode, $this->events);
        $leading = $leaving = $present = $factorOf = $signParents = $marked = [];
        $marks = array_fill_keys(array_keys($this->events), []);
        $eventParents = [];
        foreach ($this->events as $number => $code) {
            [$eventParents[], $fromCauses] = $this->byParent($network->events[$code]->parents);
            foreach ($fromCauses as $link) {
                $leading[$link->parent][] = [$number, $link];
            }
        }
        foreach ($items as $number => $laid) {
            [$signParents[], $fromCauses] = $this->byParent($network->signLinks[$laid->item->sign] ?? []);
            foreach ($fromCauses as $link) {
                $leaving[$link->parent][] = [$number, $link];
            }
            foreach ($signParents[$number] as [$event, $link]) {
                $marks[$event][] = [$number, $link];
            }
            if ($laid->isPlaced && !$laid->marked->isEmpty()) {
                $marked[$number] = $laid->marked;
            }
            if ($laid->item->isPresent) {
                $factorOf[$number] = count($this->events) + count($present);
                $present[] = $number;
            }
        }
        [$this->eventParents, $this->signParents, $this->marks] = [$eventParents, $signParents, array_values($marks)];
        [$this->leading, $this->leaving, $this->present, $this->factorOf] = [$leading, $leaving, $present, $factorOf];
        $this->marked = $marked;
        $this->denied = array_map($ratios->denied(...), $this->marks);
        $suspect = array_fill(0, count($this->events), $failed);
        for ($number = count($this->events) - 1; $number >= 0; --$number) {
            $suspect[$number] = $suspect[$number]->or($this->markedBy(array_flip(array_column($this->marks[$number], 0))));
            foreach ($this->eventParents[$number] as [$parent]) {
                $suspect[$parent] = $suspect[$parent]->or($suspect[$number]);
            }
        }
        $this->suspect = array_values($suspect);
    }

    /**
     * Where any of these was found, or a station was reported failed.
     *
     * @param array<int, mixed> $items by number
     */
    public function markedBy(array $items): StationSet
    {
        $marked = array_intersect_key($this->marked, $items);

        return $marked === [] ? $this->failed : StationSet::union($this->failed->size, [$this->failed, ...$marked]);
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

    /**
     * @param list<Link> $links
     *
     * @return array{list<array{int, Link}>, list<Link>} those from events, ascending, and those from causes
     */
    private function byParent(array $links): array
    {
        $fromEvents = $fromCauses = [];
        foreach ($links as $link) {
            if (isset($this->numberOf[$link->parent])) {
                $fromEvents[$this->numberOf[$link->parent]] = [$this->numberOf[$link->parent], $link];
            } else {
                $fromCauses[] = $link;
            }
        }
        ksort($fromEvents);

        return [array_values($fromEvents), $fromCauses];
    }
}
