<?php

declare(strict_types=1);

namespace MuteTapper\Core\Chain;

/**
 * The chain of damage: from the cause through the events to what was found. Events stand in the order in which they are told:
 * the chain of the first event first, and what leads to one before it.
 */
final readonly class Chain
{
    /**
     * @param array<string, ChainEvent> $events
     * @param list<ChainLink> $links
     * @param string|null $first the event that it began with
     * @param list<ChainLink> $orders which event a person put before which: they say when, not that one led to the other
     * @param list<ChainEdit> $adrift changes that do not fit the chain as it is now
     */
    private function __construct(
        public array $events,
        public array $links,
        public ?string $first,
        public ?string $station,
        public array $orders,
        public array $adrift,
        public ?ChainEdit $firstBy,
    ) {
    }

    /**
     * @param array<string, ChainEvent> $events
     * @param list<ChainLink> $links
     * @param string|null $station of the first event, where it is a single one
     */
    public static function of(array $events, array $links, ?string $first, ?string $station): self
    {
        return new self(self::inOrder($events, $links, [], $first), $links, $first, $station, [], [], null);
    }

    /**
     * The same as people changed it.
     *
     * @param list<ChainEdit> $edits
     */
    public function edited(array $edits): self
    {
        $kinds = EditKind::cases();
        $rank = static fn (ChainEdit $edit): int => match ($edit->what) {
            EditKind::Event => 0, EditKind::Order => 1, EditKind::Link => 2, EditKind::Cut => 3,
            default => count($kinds),
        };
        usort($edits, static fn (ChainEdit $a, ChainEdit $b): int => [$rank($a), $a->slot()->key()] <=> [$rank($b), $b->slot()->key()]);
        $chain = $this;
        foreach ($edits as $edit) {
            $chain = $chain->with($edit);
        }

        return $chain;
    }

    /** @return array<string, int> number of each event of the story, from one */
    public function numbers(): array
    {
        $told = array_keys(array_filter($this->events, static fn (ChainEvent $event): bool => $event->standing->isTold()));

        return array_map(static fn (int $i): int => $i + 1, array_flip($told));
    }

    /** @return list<ChainLink> that lead to an event, uncut */
    public function into(string $event): array
    {
        return array_values(array_filter(
            $this->links, static fn (ChainLink $link): bool => $link->to === $event && $link->cut === null,
        ));
    }

    /** @return array<string, int> which of the chains that hang together each event is of; that of the first event is 0 */
    public function strands(): array
    {
        return self::strandsOf(array_keys($this->events), $this->links, $this->first);
    }

    /** Whether one event is before another by links and by what people said. */
    public function isBefore(string $event, string $later): bool
    {
        return self::reaches($event, $later, [...$this->links, ...$this->orders]);
    }

    private function with(ChainEdit $edit): self
    {
        $is = fn (string $code): bool => isset($this->events[$code]);
        $isOn = $edit->what === EditKind::Event || ($is($edit->event) && ($edit->to === null || $is($edit->to)));

        return ($isOn ? $this->changed($edit) : null) ?? new self(
            $this->events, $this->links, $this->first, $this->station, $this->orders, [...$this->adrift, $edit], $this->firstBy,
        );
    }

    /** Null where it does not fit. */
    private function changed(ChainEdit $edit): ?self
    {
        $event = $edit->event;

        return match ($edit->what) {
            EditKind::Event => $this->having([...$this->events, $event => ChainEvent::added($edit)], $this->links, $this->orders),
            EditKind::Older => $this->having([...$this->events, $event => $this->events[$event]->older()], $this->links, $this->orders),
            EditKind::Both => $this->having([...$this->events, $event => $this->events[$event]->needingAll()], $this->links, $this->orders),
            EditKind::First => new self(
                self::inOrder($this->events, $this->links, $this->orders, $event), $this->links, $event,
                count($this->events[$event]->places) === 1 ? $this->events[$event]->places[0] : null, $this->orders, $this->adrift, $edit,
            ),
            EditKind::Cut => $this->cut($edit),
            EditKind::Link => $this->linked($edit),
            EditKind::Order => $this->ordered($edit),
        };
    }

    private function cut(ChainEdit $edit): ?self
    {
        $isOf = static fn (ChainLink $link): bool => $link->from === $edit->event && $link->to === $edit->to;

        return array_filter($this->links, $isOf) === [] ? null : $this->having(
            $this->events,
            array_map(static fn (ChainLink $link): ChainLink => $isOf($link) ? $link->cutBy($edit) : $link, $this->links), $this->orders,
        );
    }

    private function linked(ChainEdit $edit): ?self
    {
        $isKnown = array_filter(
            $this->links, static fn (ChainLink $link): bool => $link->from === $edit->event && $link->to === $edit->to,
        ) !== [];

        return $isKnown || $this->isBefore((string) $edit->to, $edit->event) ? null : $this->having(
            $this->events, [...$this->links, new ChainLink($edit->event, (string) $edit->to, '', $edit)], $this->orders,
        );
    }

    /** What led the other way is turned; what is between them the other way stands against it. */
    private function ordered(ChainEdit $edit): ?self
    {
        $isAgainst = static fn (ChainLink $link): bool => $link->from === $edit->to && $link->to === $edit->event;
        $links = array_map(
            static fn (ChainLink $link): ChainLink => $isAgainst($link) ? $link->turnedBy($edit) : $link, $this->links,
        );
        if (self::reaches((string) $edit->to, $edit->event, [...$links, ...$this->orders])) {
            return null;
        }

        return $this->having($this->events, $links, [...$this->orders, new ChainLink($edit->event, (string) $edit->to, '', $edit)]);
    }

    /**
     * @param array<string, ChainEvent> $events
     * @param list<ChainLink> $links
     * @param list<ChainLink> $orders
     */
    private function having(array $events, array $links, array $orders): self
    {
        return new self(
            self::inOrder($events, $links, $orders, $this->first), $links, $this->first, $this->station, $orders, $this->adrift,
            $this->firstBy,
        );
    }

    /** @param list<ChainLink> $links */
    private static function reaches(string $from, string $to, array $links): bool
    {
        $next = [$from];
        $known = [];
        while (($at = array_pop($next)) !== null) {
            foreach ($links as $link) {
                if ($link->from === $at && !isset($known[$link->to])) {
                    $known[$link->to] = true;
                    $next[] = $link->to;
                }
            }
        }

        return isset($known[$to]);
    }

    /**
     * @param list<string> $codes
     * @param list<ChainLink> $links
     *
     * @return array<string, int>
     */
    private static function strandsOf(array $codes, array $links, ?string $first): array
    {
        $strand = array_combine($codes, $codes);
        foreach ($links as $link) {
            [$keep, $give] = [$strand[$link->from], $strand[$link->to]];
            $strand = $link->cut !== null ? $strand : array_map(static fn (string $one): string => $one === $give ? $keep : $one, $strand);
        }
        $number = array_flip(array_values(array_unique([...$first === null ? [] : [$strand[$first]], ...array_values($strand)])));

        return array_map(static fn (string $one): int => $number[$one], $strand);
    }

    /**
     * @param array<string, ChainEvent> $events
     * @param list<ChainLink> $links
     * @param list<ChainLink> $orders
     *
     * @return array<string, ChainEvent> by their strand, and by how many links from a beginning each is
     */
    private static function inOrder(array $events, array $links, array $orders, ?string $first): array
    {
        $depth = array_fill_keys(array_keys($events), 0);
        for ($pass = 0; $pass < count($events); ++$pass) {
            foreach ([...$links, ...$orders] as $link) {
                $depth[$link->to] = max($depth[$link->to], $depth[$link->from] + 1);
            }
        }
        $strand = self::strandsOf(array_keys($events), $links, $first);
        uksort($events, static fn (string $a, string $b): int => [$strand[$a], $depth[$a]] <=> [$strand[$b], $depth[$b]]);

        return $events;
    }
}
