<?php

declare(strict_types=1);

namespace MuteTapper\Core\Chain;

use MuteTapper\Core\Cause\FurtherCause;
use MuteTapper\Core\Cause\Mechanisms;
use MuteTapper\Core\Cause\Model;
use MuteTapper\Core\Cause\PlacedCause;
use MuteTapper\Core\Cause\Ranking;
use MuteTapper\Core\Knowledge\Link;
use MuteTapper\Core\Knowledge\Strength;

/**
 * Lays what was found on the graph of causes and events: the likeliest way from the leading explanation to each mechanism that
 * left a mark, and by it what has to have happened in between. [own].
 */
final class ChainMaker
{
    /** Below this a mechanism is not said to have happened, whatever mark could be its. */
    private const HAPPENED = 0.5;
    /** What a way over a mechanism that hardly happened counts at least: a factor. */
    private const UNLIKELY = 0.05;
    /** Of what would follow, and of faults beside the leading ones, so many are drawn. */
    private const MOST_FOLLOWING = 2;
    private const MOST_BESIDE = 2;

    private readonly Model $model;
    /** @var array<string, PlacedCause> by code; the leading ones first, then what else may be wrong beside them */
    private array $roots = [];
    /** @var array<string, EventStanding> of every mechanism and root */
    private array $standing = [];
    /** @var array<string, float> */
    private array $probability = [];
    /** @var array<string, array<string, Link>> by where it leads, and from where: of the roots only what holds of their form and place */
    private array $links = [];
    /** @var array<string, array<string, true>> drawn, by where it leads, and from where */
    private array $drawn = [];
    /** @var array<string, true> */
    private array $on = [];

    private function __construct(private readonly Ranking $ranking)
    {
        $this->model = $ranking->model;
        foreach ($ranking->named->first() as $leading) {
            $this->roots[$leading->cause] = $leading;
        }
        $this->read(array_values($this->roots));
    }

    public static function of(Ranking $ranking): Chain
    {
        return (new self($ranking))->chain();
    }

    private function chain(): Chain
    {
        $first = $this->ranking->firstEvent();
        foreach (array_keys($this->roots) as $root) {
            $this->on[$root] = true;
        }
        foreach (array_keys($this->model->network->events) as $event) {
            if ($this->isShown($event) || $event === $first?->event) {
                $this->lead($event);
            }
        }
        if ($this->roots !== []) {
            foreach (array_slice($this->ranking->further(), 0, self::MOST_BESIDE) as $beside) {
                $this->beside($beside);
            }
            $this->join();
            $this->follow();
            $this->reduce();
        }
        $events = $links = [];
        foreach ([...array_keys($this->roots), ...array_keys($this->model->network->events)] as $code) {
            if (isset($this->on[$code])) {
                $events[$code] = $this->event($code);
            }
        }
        foreach ($this->drawn as $to => $from) {
            foreach (array_keys($from) as $one) {
                $links[] = new ChainLink($one, $to, $this->links[$to][$one]->reason);
            }
        }

        return Chain::of($events, $links, $first?->event, $first?->station);
    }

    /**
     * How each mechanism stands with the leading explanation at work.
     *
     * @param list<PlacedCause> $leading
     */
    private function read(array $leading): void
    {
        $overall = $leading === [] ? $this->ranking->mechanisms() : [];
        foreach ($this->model->network->events as $code => $event) {
            $known = in_array($code, $this->model->events, true);
            $this->links[$code] = [];
            foreach ($event->parents as $link) {
                if (isset($this->model->network->events[$link->parent]) || $this->holds($link)) {
                    $this->links[$code][$link->parent] ??= $link;
                }
            }
            $this->probability[$code] = match (true) {
                $leading === [] => $overall[$code] ?? 0.0,
                $known => $this->model->eventProbability($code, ...$leading),
                default => $this->forward($code),
            };
            $this->standing[$code] = $this->standingOf($code, $this->probability[$code] >= self::HAPPENED);
        }
        foreach (array_keys($this->roots) as $code) {
            $this->addRoot($code);
        }
    }

    private function addRoot(string $code): void
    {
        $this->probability[$code] = $this->ranking->weighed->ofCause[$code] ?? 0.0;
        $standing = $this->standingOf($code, true);
        $this->standing[$code] = $standing === EventStanding::NotLooked || $standing === EventStanding::Denied
            ? EventStanding::Implied : $standing;
    }

    /** A second fault is drawn where it shows itself, or leads to something shown that nothing drawn so far leads to. */
    private function beside(FurtherCause $beside): void
    {
        $code = $beside->placed->cause;
        $this->roots[$code] = $beside->placed;
        $before = [$this->links, $this->standing, $this->probability];
        foreach ($this->model->network->events as $event => $known) {
            foreach ($known->parents as $link) {
                if ($link->parent === $code && $this->holds($link)) {
                    $this->links[$event][$code] ??= $link;
                }
            }
            if (in_array($event, $this->model->events, true) && !isset($this->on[$event])) {
                $this->probability[$event] = max($this->probability[$event], $this->model->eventProbability($event, $beside->placed));
                $this->standing[$event] = $this->standingOf($event, $this->probability[$event] >= self::HAPPENED);
            }
        }
        $this->addRoot($code);
        $led = array_filter(
            array_keys($this->model->network->events),
            fn (string $event): bool => $this->isShown($event) && !isset($this->drawn[$event]) && $this->from($event) !== null,
        );
        if ($led === [] && !$this->isShown($code)) {
            [$this->links, $this->standing, $this->probability] = $before;
            unset($this->roots[$code]);

            return;
        }
        $this->on[$code] = true;
        array_map($this->lead(...), $led);
    }

    private function isShown(string $event): bool
    {
        return $this->standing[$event] === EventStanding::Seen || $this->standing[$event] === EventStanding::Told;
    }

    private function holds(Link $link): bool
    {
        $root = $this->roots[$link->parent] ?? null;

        return $root !== null && $link->holds($root->form, $this->model->ground->kindsOf($root->extent->region));
    }

    /** Of a mechanism with no sign of its own or behind it recorded: by what leads to it. */
    private function forward(string $event): float
    {
        $off = 1.0;
        foreach ($this->links[$event] as $parent => $link) {
            $off *= 1 - $link->probability * (isset($this->roots[$parent]) ? 1.0 : $this->probability[$parent] ?? 0.0);
        }

        return 1 - $off;
    }

    private function standingOf(string $code, bool $happened): EventStanding
    {
        $isTold = $isSeen = $isLooked = $isDenied = false;
        foreach ($this->model->marksOf($code) as [$laid, $link]) {
            $isLooked = true;
            $isOwn = Mechanisms::isOwnMark($laid, $link);
            $isSeen = $isSeen || ($isOwn && !$laid->item->isReport);
            $isTold = $isTold || $isOwn;
            $isDenied = $isDenied || (!$laid->item->isPresent && $link->probability >= Strength::Usually->probability());
        }

        return match (true) {
            $isSeen && $happened => EventStanding::Seen,
            $isTold && $happened => EventStanding::Told,
            $isDenied && !$happened => EventStanding::Denied,
            $isLooked => EventStanding::Implied,
            default => EventStanding::NotLooked,
        };
    }

    /** Draws the likeliest way from a root to a mechanism. What lies on it happened, whether it was looked for or not. */
    private function lead(string $event): void
    {
        for ($at = $event; $at !== null; $at = $from) {
            $this->on[$at] = true;
            if (isset($this->roots[$at])) {
                return;
            }
            if ($this->standing[$at] === EventStanding::NotLooked) {
                $this->standing[$at] = EventStanding::Implied;
            }
            $from = $this->from($at);
            if ($from !== null) {
                $this->drawn[$at][$from] = true;
            }
        }
    }

    /** What most likely led to a mechanism; null where nothing does. */
    private function from(string $event): ?string
    {
        $best = null;
        foreach (array_keys($this->links[$event] ?? []) as $parent) {
            $way = $this->way($event, $parent);
            if ($way > 0.0 && ($best === null || $way > $best[0])) {
                $best = [$way, $parent];
            }
        }

        return $best[1] ?? null;
    }

    /** How likely the likeliest way is by which a root led to a mechanism over this parent. What was seen needs no luck. */
    private function way(string $event, string $parent): float
    {
        $link = $this->links[$event][$parent]->strength->probability();
        if (isset($this->roots[$parent])) {
            return $link;
        }
        $before = 0.0;
        foreach (array_keys($this->links[$parent]) as $earlier) {
            $before = max($before, $this->way($parent, $earlier));
        }

        return $link * $before * match ($this->standing[$parent]) {
            EventStanding::Seen, EventStanding::Told => 1.0,
            default => max(self::UNLIKELY, min(1.0, $this->probability[$parent])),
        };
    }

    /** Draws what else led to a mechanism among all that is drawn. */
    private function join(): void
    {
        foreach ($this->links as $to => $links) {
            foreach ($links as $from => $link) {
                if (isset($this->on[$to], $this->on[$from]) && $link->probability >= Strength::Often->probability()) {
                    $this->drawn[$to][$from] = true;
                }
            }
        }
    }

    /** Draws what would have followed: first what nobody looked at, then what was looked for and is not there. */
    private function follow(): void
    {
        $following = [EventStanding::NotLooked->value => [], EventStanding::Denied->value => []];
        foreach ($this->links as $to => $links) {
            foreach ($links as $from => $link) {
                $isUsual = $link->probability >= Strength::Usually->probability();
                if ($isUsual && isset($this->on[$from], $following[$this->standing[$to]->value]) && !isset($this->on[$to])) {
                    $following[$this->standing[$to]->value][$to][] = $from;
                }
            }
        }
        foreach ($following as $of) {
            uksort($of, fn (string $a, string $b): int => $this->probability[$b] <=> $this->probability[$a]);
            foreach (array_slice($of, 0, self::MOST_FOLLOWING) as $to => $from) {
                $this->on[$to] = true;
                $this->drawn[$to] = array_fill_keys($from, true);
            }
        }
    }

    /** Leaves out a link where the same is said step by step. */
    private function reduce(): void
    {
        foreach ($this->drawn as $to => $froms) {
            foreach (array_keys($froms) as $from) {
                unset($this->drawn[$to][$from]);
                if (!$this->leads($from, $to)) {
                    $this->drawn[$to][$from] = true;
                }
            }
        }
    }

    private function leads(string $from, string $to): bool
    {
        foreach (array_keys($this->drawn[$to] ?? []) as $before) {
            if ($before === $from || $this->leads($from, $before)) {
                return true;
            }
        }

        return false;
    }

    private function event(string $code): ChainEvent
    {
        $root = $this->roots[$code] ?? null;
        $signs = $places = [];
        foreach ($this->model->marksOf($code) as [$laid, $link]) {
            if (Mechanisms::isOwnMark($laid, $link)) {
                $signs[] = $laid->item->sign;
                $places = [...$places, ...$laid->isPlaced ? $laid->item->places : []];
            }
        }

        return new ChainEvent(
            $code, $root !== null, $this->standing[$code], $this->probability[$code], array_values(array_unique($signs)),
            array_values(array_unique($places)), $root?->extent,
        );
    }
}
