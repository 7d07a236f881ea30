<?php

declare(strict_types=1);

namespace MuteTapper\Core\Timeline;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\Entry;

/** The shop's case of an earlier event, and the parts that stood in that build, as they were tagged when it was named. */
final readonly class EarlierCase
{
    /** @param list<StoodPart> $parts */
    public function __construct(public string $id, public string $name, public array $parts)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $node): self
    {
        return new self(
            Entry::uuid($node->get('case')), trim($node->maybe('name')?->text(200) ?? ''),
            array_map(StoodPart::fromNode(...), $node->maybe('parts')?->items() ?? []),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'case' => $this->id, 'name' => $this->name,
            'parts' => array_map(static fn (StoodPart $part): array => $part->toArray(), $this->parts),
        ];
    }
}
