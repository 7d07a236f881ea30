<?php

declare(strict_types=1);

namespace MuteTapper\App\Record;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** Who did what to a case and when; written in the same transaction as the deed. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'audit')]
class AuditRecord
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public int $id;

    /** @param array<string, mixed> $detail */
    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly CaseRecord $case,
        #[ORM\Column]
        public readonly int $revision,
        #[ORM\Column(length: 40)]
        public readonly string $action,
        #[ORM\Column(name: 'done_by', length: 80)]
        public readonly string $by,
        #[ORM\Column(name: 'done_at', type: Types::DATETIME_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
        #[ORM\Column(type: Types::JSON)]
        public readonly array $detail,
    ) {
    }
}
