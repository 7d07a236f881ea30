<?php

declare(strict_types=1);

namespace MuteTapper\App\Record;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Entry\SupersedeReason;

/** An entry as stored. Append-only: no column ever changes. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'entry')]
#[ORM\Index(columns: ['case_id', 'seq'])]
class EntryRecord
{
    /** @param array<string, mixed> $data */
    private function __construct(
        #[ORM\Id, ORM\Column(length: 36)]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly CaseRecord $case,
        #[ORM\Column]
        public readonly int $seq,
        #[ORM\Column(length: 20, enumType: EntryKind::class)]
        public readonly EntryKind $kind,
        #[ORM\Column(length: 80)]
        public readonly string $place,
        #[ORM\Column(length: 80)]
        public readonly string $part,
        #[ORM\Column(length: 80)]
        public readonly string $item,
        #[ORM\Column(name: 'slot_index', length: 80, nullable: true)]
        public readonly ?string $index,
        #[ORM\Column(length: 36, nullable: true)]
        public readonly ?string $supersedes,
        #[ORM\Column(length: 20, nullable: true, enumType: SupersedeReason::class)]
        public readonly ?SupersedeReason $reason,
        #[ORM\Column(name: 'recorded_by', length: 80)]
        public readonly string $by,
        #[ORM\Column(name: 'recorded_at', length: 24)]
        public readonly string $at,
        #[ORM\Column(length: 64, nullable: true)]
        public readonly ?string $knowledge,
        #[ORM\Column(type: Types::JSON)]
        public readonly array $data,
    ) {
    }

    public static function of(CaseRecord $case, int $seq, Entry $entry): self
    {
        return new self(
            $entry->id, $case, $seq, $entry->kind, $entry->slot->place, $entry->slot->part, $entry->slot->item, $entry->slot->index,
            $entry->supersedes, $entry->reason, $entry->by, $entry->at->format('Y-m-d\TH:i:s.v\Z'), $entry->knowledge, $entry->data,
        );
    }

    public function entry(): Entry
    {
        return new Entry(
            $this->id, $this->kind, new Slot($this->place, $this->part, $this->item, $this->index), $this->supersedes, $this->reason,
            $this->by, new \DateTimeImmutable($this->at), $this->knowledge, $this->data,
        );
    }
}
