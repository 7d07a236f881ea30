<?php

declare(strict_types=1);

namespace MuteTapper\App\Record;

use Doctrine\ORM\Mapping as ORM;

/** The newest entry of a slot. Two windows that fill one slot meet here. */
#[ORM\Entity]
#[ORM\Table(name: 'slot_head')]
class SlotHead
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly CaseRecord $case,
        #[ORM\Id, ORM\Column(length: 330)]
        public readonly string $slotKey,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public EntryRecord $entry,
        #[ORM\Column]
        public readonly int $firstSeq,
    ) {
    }
}
