<?php

declare(strict_types=1);

namespace MuteTapper\Core\Timeline;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\PartTag;
use MuteTapper\Core\Entry\Slot;

/** A part that stood somewhere in a build, told from its like by its tag. */
final readonly class StoodPart
{
    private function __construct(public Slot $slot, public string $tag)
    {
    }

    /** @throws BadDocument */
    public static function of(Entry $entry): self
    {
        return new self($entry->slot, PartTag::fromNode($entry->node())->tag);
    }

    /** @throws BadDocument */
    public static function fromNode(Node $node): self
    {
        $part = $node->get('part')->choice(Part::class);
        $slot = PartTag::slot($node->get('place')->word(40), $part, $node->maybe('index')?->word(20))
            ?? throw BadDocument::at($node->pointer, sprintf('no %s is told by a tag there.', $part->value));

        return new self($slot, PartTag::fromNode($node)->tag);
    }

    public function component(): ?Component
    {
        return Component::ofPart(Part::from($this->slot->part));
    }

    /** @return array<string, string> */
    public function toArray(): array
    {
        return ['place' => $this->slot->place, 'part' => $this->slot->part]
            + ($this->slot->index === null ? [] : ['index' => $this->slot->index]) + ['tag' => $this->tag];
    }
}
