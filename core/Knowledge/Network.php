<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;

/**
 * Causes, events, and the links to signs. Invariant: codes are unique, every link's parent exists, and events stand in an
 * order in which parents come first, so there is no loop.
 */
final readonly class Network
{
    /** Called as the cause when none of the catalogue is it. */
    public const NOT_LISTED = 'not_listed';

    /**
     * @param array<string, Cause> $causes
     * @param array<string, Event> $events parents before children
     * @param array<string, list<Link>> $signLinks parents of each sign
     */
    private function __construct(public array $causes, public array $events, public array $signLinks)
    {
    }

    /** Name of a called cause; one that is not in the catalogue any more keeps its code. */
    public function nameOf(string $cause): string
    {
        return $cause === self::NOT_LISTED ? 'Something not listed' : ($this->causes[$cause]->label ?? $cause);
    }

    /** @throws BadDocument */
    public static function fromNode(Node $causes, Node $events, Node $signs): self
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
        $known = $byCode + $unordered;
        foreach ([...array_map(static fn (Event $event): array => $event->parents, $unordered), ...$signLinks] as $child => $links) {
            foreach ($links as $link) {
                if (!isset($known[$link->parent])) {
                    throw BadDocument::at(
                        '/'.$child,
                        sprintf('the link comes from “%s”, which is neither a cause nor an event.', $link->parent),
                    );
                }
            }
        }

        return new self($byCode, self::parentsFirst($unordered), $signLinks);
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
     * Strongest path from each cause to each event: the greatest product of strengths.
     *
     * @return array<string, array<string, float>> by event, then cause
     */
    public function paths(): array
    {
        $paths = [];
        foreach ($this->events as $code => $event) {
            $paths[$code] = [];
            foreach ($event->parents as $link) {
                $through = isset($this->causes[$link->parent]) ? [$link->parent => 1.0] : $paths[$link->parent];
                foreach ($through as $cause => $path) {
                    $paths[$code][$cause] = max($paths[$code][$cause] ?? 0.0, $path * $link->strength->probability());
                }
            }
        }

        return $paths;
    }
}
