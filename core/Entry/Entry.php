<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;

/** The unit of everything a person records. Never changed: a correction or withdrawal is an entry that supersedes. */
final readonly class Entry
{
    /** @param array<string, mixed> $data what was recorded, by kind */
    public function __construct(
        public string $id,
        public EntryKind $kind,
        public Slot $slot,
        public ?string $supersedes,
        public ?SupersedeReason $reason,
        public string $by,
        public \DateTimeImmutable $at,
        public ?string $knowledge,
        public array $data,
    ) {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $node): self
    {
        return new self(
            self::uuid($node->get('id')),
            $node->get('kind')->choice(EntryKind::class),
            Slot::fromNode($node->get('slot')),
            $node->has('supersedes') ? self::uuid($node->get('supersedes')) : null,
            $node->maybe('reason')?->choice(SupersedeReason::class),
            $node->get('by')->word(80),
            $node->get('at')->time(),
            $node->maybe('knowledge')?->word(64),
            $node->maybe('data')?->map() ?? [],
        );
    }

    public static function uuid(Node $node): string
    {
        $id = strtolower($node->word(36));
        if (preg_match('/^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/', $id) !== 1) {
            throw BadDocument::at($node->pointer, sprintf('“%s” is not a UUID.', $id));
        }

        return $id;
    }

    /** @return array<string, mixed> in the shape that fromNode reads */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'kind' => $this->kind->value,
            'slot' => $this->slot->toArray(),
            'supersedes' => $this->supersedes,
            'reason' => $this->reason?->value,
            'by' => $this->by,
            'at' => $this->at->format('Y-m-d\TH:i:s.v\Z'),
            'knowledge' => $this->knowledge,
            'data' => $this->data === [] ? null : $this->data,
        ];
    }

    public function node(): Node
    {
        return Node::root($this->data);
    }
}
