<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;

/**
 * Causes, events, and the links to signs. Invariant: codes are unique, every link's parent exists, and events stand in an
 * order in which parents come first, so there is no loop.
 */
final readonly class Network
{
    /** Called as the cause when none of the catalogue is it. */
    public const NOT_LISTED = 'not_listed';

    /** @var array<string, list<array{string, Link}>> events that a cause or event leads to, by its code */
    private array $leadsTo;

    /**
     * @param array<string, Cause> $causes
     * @param array<string, Event> $events parents before children
     * @param array<string, list<Link>> $signLinks parents of each sign
     */
    private function __construct(public array $causes, public array $events, public array $signLinks)
    {
        $leadsTo = [];
        foreach ($events as $code => $event) {
            foreach ($event->parents as $link) {
                $leadsTo[$link->parent][] = [$code, $link];
            }
        }
        $this->leadsTo = $leadsTo;
    }

    /** Name of a called cause, or of the mechanism that it began with; one that is not in the catalogue any more keeps its code. */
    public function nameOf(string $code): string
    {
        return $code === self::NOT_LISTED ? 'Something not listed' : $this->causes[$code]->label ?? $this->events[$code]->label ?? $code;
    }

    /**
     * @param Node|null $own links that a shop sets otherwise, by their code
     *
     * @throws BadDocument
     */
    public static function fromNode(Node $causes, Node $events, Node $signs, ?Node $own = null): self
    {
        $byCode = [];
        foreach ($causes->items() as $node) {
            $cause = Cause::fromNode($node);
            $byCode[$cause->code] = $cause;
        }
        $unordered = [];
        foreach ($events->items() as $node) {
            $event = Event::fromNode($node);
            $unordered[$event->code] = $event;
        }
        $signLinks = [];
        foreach ($signs->items() as $node) {
            $signLinks[$node->get('code')->word()] = array_map(
                static fn (Node $link): Link => Link::fromNode($link), $node->get('parents')->items(),
            );
        }
        foreach (array_map(static fn (Event $event): array => $event->parents, $unordered) as $child => $links) {
            foreach ($links as $link) {
                self::check($child, $link, $byCode, $unordered);
                if ($link->at !== null && !isset($byCode[$link->parent])) {
                    throw BadDocument::at('/'.$child, 'a link between events holds at both kinds of valve.');
                }
            }
        }
        foreach ($signLinks as $child => $links) {
            foreach ($links as $link) {
                self::check($child, $link, $byCode, $unordered);
            }
        }

        if ($own !== null) {
            foreach ($unordered as $child => $event) {
                $unordered[$child] = $event->after(self::asSet($child, $event->parents, $own));
            }
            foreach ($signLinks as $child => $links) {
                $signLinks[$child] = self::asSet($child, $links, $own);
            }
        }

        return new self($byCode, self::parentsFirst($unordered), $signLinks);
    }

    /**
     * @param list<Link> $links
     *
     * @return list<Link> with the strengths that a shop gives them
     */
    private static function asSet(string $child, array $links, Node $own): array
    {
        return array_map(
            static fn (Link $link): Link => $own->has($link->code($child)) ? $link->asSet($own->get($link->code($child))) : $link, $links,
        );
    }

    /** @return array<string, list<Link>> by the mechanism or sign that they lead to */
    public function linksByChild(): array
    {
        return array_map(static fn (Event $event): array => $event->parents, $this->events) + $this->signLinks;
    }

    /** @return array<string, Link> every link by its code */
    public function links(): array
    {
        $links = [];
        foreach ($this->linksByChild() as $child => $of) {
            foreach ($of as $link) {
                $links[$link->code($child)] = $link;
            }
        }

        return $links;
    }

    /** Whether a cause leads to a sign by a link whose strength a shop has set. */
    public function isByShopsWord(string $cause, string $sign): bool
    {
        return $this->shopsBehind($cause, $this->signLinks[$sign] ?? []) ?? false;
    }

    /**
     * @param list<Link> $links
     *
     * @return bool|null whether one on the way from a cause to these is a shop's; null where none of them comes from it
     */
    private function shopsBehind(string $cause, array $links): ?bool
    {
        $found = null;
        foreach ($links as $link) {
            $before = $link->parent === $cause ? false : $this->shopsBehind($cause, $this->events[$link->parent]->parents ?? []);
            if ($before !== null) {
                $found = $found === true || $before || $link->isShops;
            }
        }

        return $found;
    }

    /**
     * @param array<string, Event> $events
     *
     * @return array<string, Event>
     */
    private static function parentsFirst(array $events): array
    {
        $ordered = [];
        while ($events !== []) {
            $ready = array_filter($events, static function (Event $event) use ($events): bool {
                foreach ($event->parents as $link) {
                    if (isset($events[$link->parent])) {
                        return false;
                    }
                }

                return true;
            });
            if ($ready === []) {
                throw BadDocument::at('/events', 'events lead to each other in a loop: '.implode(', ', array_keys($events)).'.');
            }
            $ordered += $ready;
            $events = array_diff_key($events, $ready);
        }

        return $ordered;
    }

    /**
     * @param array<string, Cause> $causes
     * @param array<string, Event> $events
     *
     * @throws BadDocument
     */
    private static function check(string $child, Link $link, array $causes, array $events): void
    {
        if (!isset($causes[$link->parent]) && !isset($events[$link->parent])) {
            throw BadDocument::at(
                '/'.$child, sprintf('the link comes from “%s”, which is neither a cause nor an event.', $link->parent),
            );
        }
        if ($link->when !== null && !isset($causes[$link->parent]->forms[$link->when])) {
            throw BadDocument::at('/'.$child, sprintf('“%s” is no form of “%s”.', $link->when, $link->parent));
        }
    }

    /** What of it such an engine can have: causes and events that it lacks nothing of, and the links among those. */
    public function on(Engine $engine): self
    {
        $causes = array_filter($this->causes, static fn (Cause $cause): bool => $cause->excludedBy($engine) === null);
        $events = array_filter($this->events, static fn (Event $event): bool => $engine->lacks($event->requires) === null);
        $known = $causes + $events;

        return new self(
            $causes, array_map(static fn (Event $event): Event => $event->after(self::among($known, $event->parents)), $events),
            array_map(static fn (array $links): array => self::among($known, $links), $this->signLinks),
        );
    }

    /**
     * @param array<string, Cause|Event> $known
     * @param list<Link> $links
     *
     * @return list<Link> those from parents that are known
     */
    private static function among(array $known, array $links): array
    {
        return array_values(array_filter($links, static fn (Link $link): bool => isset($known[$link->parent])));
    }

    /** @return array<string, string> causes that the build rules out, with the flag that does */
    public function excludedOn(Engine $engine): array
    {
        return array_filter(
            array_map(static fn (Cause $cause): ?string => $cause->excludedBy($engine), $this->causes),
            static fn (?string $flag): bool => $flag !== null,
        );
    }

    /**
     * Strongest path from each cause to each event: the greatest product of strengths, over its forms by their shares.
     *
     * @return array<string, array<string, float>> by event, then cause
     */
    public function paths(): array
    {
        $paths = [];
        foreach ($this->causes as $code => $cause) {
            foreach ($cause->forms as $form => $share) {
                foreach ($this->pathsFrom($code, $form) as $event => $path) {
                    $paths[$event][$code] = ($paths[$event][$code] ?? 0.0) + $share * $path;
                }
            }
        }

        return $paths;
    }

    /**
     * Strongest path from one form of a cause to the events that it can lead to.
     *
     * @param string|null $kinds kinds of valve in its region, such as I, E, IE; null for any
     *
     * @return array<string, float> by event, parents before children
     */
    public function pathsFrom(string $cause, string $form, ?string $kinds = null): array
    {
        $paths = $best = [];
        foreach ($this->leadsTo[$cause] ?? [] as [$event, $link]) {
            if ($link->holds($form, $kinds)) {
                $best[$event] = max($best[$event] ?? 0.0, $link->probability);
            }
        }
        foreach (array_keys($this->events) as $code) {
            if (isset($best[$code])) {
                $paths[$code] = $through = $best[$code];
                foreach ($this->leadsTo[$code] ?? [] as [$event, $link]) {
                    $best[$event] = max($best[$event] ?? 0.0, $through * $link->probability);
                }
            }
        }

        return $paths;
    }
}
