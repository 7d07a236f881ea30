<?php

declare(strict_types=1);

namespace MuteTapper\App\Record;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** One case: its documents (description, engine, call), each with a version, and the revision that any change raises. */
#[ORM\Entity]
#[ORM\Table(name: 'case_file')]
class CaseRecord
{
    #[ORM\Column]
    public int $revision = 0;

    #[ORM\Column]
    public int $descriptionVersion = 1;

    #[ORM\Column]
    public int $engineVersion = 1;

    /** @var array<string, mixed>|null the analyst's call as it is being written */
    #[ORM\Column(type: Types::JSON, nullable: true)]
    public ?array $callDocument = null;

    #[ORM\Column]
    public int $callVersion = 1;

    /** The version of the call that was signed last. */
    #[ORM\Column(nullable: true)]
    public ?int $signedVersion = null;

    /** Out of the queue's way, and kept. */
    #[ORM\Column(options: ['default' => false])]
    public bool $setAside = false;

    /**
     * @param array<string, mixed> $engine as Engine::toArray
     * @param array<string, mixed> $description story, settings, label
     */
    public function __construct(
        #[ORM\Id, ORM\Column(length: 36)]
        public readonly string $id,
        #[ORM\Column(unique: true)]
        public readonly int $number,
        #[ORM\Column(length: 200)]
        public string $name,
        #[ORM\Column(type: Types::JSON)]
        public array $engine,
        #[ORM\Column(type: Types::JSON)]
        public array $description,
        #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
        public \DateTimeImmutable $createdAt, // not readonly: refreshing an entity sets an equal, but not the same, time
        #[ORM\Column(length: 36, nullable: true)]
        public readonly ?string $copiedFrom = null,
    ) {
    }
}
