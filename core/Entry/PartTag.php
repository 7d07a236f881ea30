<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Place;

/** Which part stands at a place, by a tag that is its own in the shop: the same part may stand elsewhere before and after. */
final readonly class PartTag
{
    public const ITEM = 'tag';
    private const HALVES = ['a', 'b'];

    private function __construct(public string $tag)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data): self
    {
        $tag = $data->get('tag')->word(40);

        return Place::asLoose(Place::loose($tag)) === $tag ? new self($tag) : throw BadDocument::at('/tag', sprintf(
            '“%s” is no tag: small letters, digits and hyphens are accepted, a letter or digit first.', $tag,
        ));
    }

    /** The slot in which it is said, or null where a place has no such part: of springs the coil is named, of locks the half may be. */
    public static function slot(string $place, Part $part, ?string $index): ?Slot
    {
        $isKnown = match ($part) {
            Part::Spring => in_array($index, Coil::PAGES, true),
            Part::Locks => $index === null || in_array($index, self::HALVES, true),
            default => $index === null,
        };

        return $isKnown && Place::asLoose($place) === null ? new Slot($place, $part->value, self::ITEM, $index) : null;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['tag' => $this->tag];
    }
}
