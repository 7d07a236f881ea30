<?php

declare(strict_types=1);

namespace MuteTapper\App\Paper;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use MuteTapper\App\Record\CaseRecord;

/** A sheet that is made aside, such as a report or tags: how far it is. Derived, never truth. */
#[ORM\Entity]
#[ORM\Table(name: 'paper')]
class Paper
{
    #[ORM\Column(length: 10, enumType: PaperState::class)]
    public PaperState $state = PaperState::Waiting;

    /** 0 to 1. */
    #[ORM\Column]
    public float $done = 0.0;

    #[ORM\Column(type: Types::TEXT, nullable: true)]
    public ?string $message = null;

    /** @param array<string, mixed> $options */
    public function __construct(
        #[ORM\Id, ORM\Column(length: 64)]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly CaseRecord $case,
        #[ORM\Column(length: 10)]
        public readonly string $kind,
        #[ORM\Column(type: Types::JSON)]
        public readonly array $options,
        #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
        public \DateTimeImmutable $askedAt,
    ) {
    }
}
