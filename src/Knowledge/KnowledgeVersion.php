<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** A content of the knowledge files that judged a case, kept so that old verdicts stay reproducible. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'knowledge_version')]
class KnowledgeVersion
{
    /** @param array<string, mixed> $content */
    public function __construct(
        #[ORM\Id, ORM\Column(length: 64)]
        public readonly string $hash,
        #[ORM\Column(type: Types::JSON)]
        public readonly array $content,
        #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
        public readonly \DateTimeImmutable $firstUsedAt,
    ) {
    }
}
