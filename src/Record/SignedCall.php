<?php

declare(strict_types=1);

namespace MuteTapper\App\Record;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** A signed call with the ranking and ledger as they were shown. Evidence of what was shown: never recomputed. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'signed_call')]
class SignedCall
{
    /**
     * @param int $seq place in the order of signing, from 1
     * @param array<string, mixed> $content call, ranking, ledger, revision, knowledge, engine version, school
     */
    public function __construct(
        #[ORM\Id, ORM\Column(length: 36)]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly CaseRecord $case,
        #[ORM\Column]
        public readonly int $seq,
        #[ORM\Column(name: 'signed_by', length: 80)]
        public readonly string $by,
        #[ORM\Column(name: 'signed_at', type: Types::DATETIME_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
        #[ORM\Column(type: Types::JSON)]
        public readonly array $content,
    ) {
    }
}
