<?php

declare(strict_types=1);

namespace MuteTapper\App\Library;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** An engine of the shop's library, to begin a case from. */
#[ORM\Entity]
#[ORM\Table(name: 'saved_engine')]
class SavedEngine
{
    /** @param array<string, mixed> $engine as Engine::toArray */
    public function __construct(
        #[ORM\Id, ORM\Column(length: 36)]
        public readonly string $id,
        #[ORM\Column(length: 120, unique: true)]
        public string $name,
        #[ORM\Column(type: Types::JSON)]
        public array $engine,
        #[ORM\Column(name: 'saved_by', length: 80)]
        public string $by,
        #[ORM\Column(name: 'saved_at', type: Types::DATETIME_IMMUTABLE)]
        public \DateTimeImmutable $at,
    ) {
    }
}
