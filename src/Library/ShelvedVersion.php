<?php

declare(strict_types=1);

namespace MuteTapper\App\Library;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** One state of something on a shelf; nothing is ever overwritten, the highest version is what stands there. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'library_version')]
class ShelvedVersion
{
    /** @param array<string, mixed>|null $content null once it was taken off the shelf */
    public function __construct(
        #[ORM\Id, ORM\Column(length: 16, enumType: Shelf::class)]
        public readonly Shelf $shelf,
        #[ORM\Id, ORM\Column(length: 80)]
        public readonly string $code,
        #[ORM\Id, ORM\Column]
        public readonly int $version,
        #[ORM\Column(length: 120)]
        public readonly string $name,
        #[ORM\Column(type: Types::JSON, nullable: true)]
        public readonly ?array $content,
        #[ORM\Column(name: 'kept_by', length: 80)]
        public readonly string $by,
        #[ORM\Column(name: 'kept_at', type: Types::DATETIME_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
    }
}
