<?php

declare(strict_types=1);

namespace MuteTapper\Core\Timeline;

use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Entry\EntryKind;

/**
 * What went from build to build by the tags of the parts: a part that stood in both was carried, one in whose place another stood is
 * new. The build on the bench is that of the last failure; those before are known from the cases that their events name.
 */
final readonly class TaggedBuilds
{
    /**
     * @param array<string, array<string, PartState>> $states by component, then event
     * @param array<string, array<string, string>> $because tags that say so, by component, then event
     */
    private function __construct(public array $states, private array $because)
    {
    }

    /** @param array<string, Event> $events by id, oldest first */
    public static function of(CaseFile $case, array $events): self
    {
        $states = $because = [];
        $before = null;
        $isNext = false; // whether nothing ran or failed in between of which no tags are known
        foreach (self::builds($case, $events) as $id => $now) {
            if ($now === null) {
                $isNext = $isNext && !in_array($events[$id]->what, [EventKind::Failure, EventKind::Run], true);
                continue;
            }
            foreach ($before === null ? [] : self::byComponent($now) as $component => $parts) {
                [$carried, $new] = self::sorted($before ?? [], self::atFailed($parts, $case->failed));
                $state = match (true) {
                    $carried !== [] && $new === [] => PartState::Carried,
                    $new !== [] && $carried === [] && $isNext => PartState::New,
                    default => null,
                };
                if ($state !== null) {
                    $states[$component][$id] = $state;
                    $because[$component][$id] = implode(', ', $state === PartState::Carried ? $carried : $new);
                }
            }
            [$before, $isNext] = [$now, true];
        }

        return new self($states, $because);
    }

    /**
     * @param array<string, array<string, PartState>> $said by component, then event
     * @param array<string, Event> $events
     *
     * @return list<string> where it was said otherwise, in words
     */
    public function contradictions(array $said, array $events, Engine $engine): array
    {
        $found = [];
        foreach ($this->states as $component => $states) {
            foreach ($states as $id => $state) {
                $other = $said[$component][$id] ?? null;
                if ($other !== null && $other !== PartState::Unknown && $other !== $state) {
                    $found[] = sprintf(
                        '%s: said to be %s at the %s, but by their tags (%s) they were %s: the tags are heard.',
                        ucfirst(Component::from($component)->label($engine)), $other->value, $events[$id]->words(),
                        $this->because[$component][$id], $state->value,
                    );
                }
            }
        }

        return $found;
    }

    /**
     * @param array<string, Event> $events
     *
     * @return array<string, list<StoodPart>|null> by event; null where no tags are known
     */
    private static function builds(CaseFile $case, array $events): array
    {
        $last = array_key_last(array_filter($events, static fn (Event $event): bool => $event->what === EventKind::Failure));
        $builds = [];
        foreach ($events as $id => $event) {
            $parts = $event->earlier->parts ?? ($id === $last
                ? array_map(StoodPart::of(...), $case->log->standing(EntryKind::Tag)) : []);
            $builds[$id] = $parts === [] ? null : $parts;
        }

        return $builds;
    }

    /**
     * @param list<StoodPart> $parts
     *
     * @return array<string, list<StoodPart>>
     */
    private static function byComponent(array $parts): array
    {
        $by = [];
        foreach ($parts as $part) {
            $component = $part->component();
            if ($component !== null) {
                $by[$component->value][] = $part;
            }
        }

        return $by;
    }

    /**
     * What failed is looked at where it failed; where nothing is tagged there, everywhere.
     *
     * @param list<StoodPart> $parts
     * @param list<string> $failed
     *
     * @return list<StoodPart>
     */
    private static function atFailed(array $parts, array $failed): array
    {
        $there = array_values(array_filter($parts, static fn (StoodPart $part): bool => in_array($part->slot->place, $failed, true)));

        return $there === [] ? $parts : $there;
    }

    /**
     * @param list<StoodPart> $before
     * @param list<StoodPart> $now
     *
     * @return array{list<string>, list<string>} tags of those that stood there before, wherever, and of those that stand in another's place
     */
    private static function sorted(array $before, array $now): array
    {
        $places = $tags = $carried = $new = [];
        foreach ($before as $part) {
            $tags[$part->tag] = true;
            $places[$part->slot->key()] = true;
        }
        foreach ($now as $part) {
            if (isset($tags[$part->tag])) {
                $carried[] = $part->tag;
            } elseif (isset($places[$part->slot->key()])) {
                $new[] = $part->tag;
            }
        }

        return [$carried, $new];
    }
}
