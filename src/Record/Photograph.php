<?php

declare(strict_types=1);

namespace MuteTapper\App\Record;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** An original photograph, kept byte for byte under its SHA-256, and the state of its working copy. */
#[ORM\Entity]
#[ORM\Table(name: 'photograph')]
class Photograph
{
    #[ORM\Column(length: 10, enumType: WorkingCopyState::class)]
    public WorkingCopyState $workingCopy = WorkingCopyState::Waiting;

    public function __construct(
        #[ORM\Id, ORM\Column(length: 64)]
        public readonly string $sha256,
        #[ORM\Column(length: 20)]
        public readonly string $mediaType,
        #[ORM\Column]
        public readonly int $bytes,
        #[ORM\Column]
        public readonly int $width,
        #[ORM\Column]
        public readonly int $height,
        #[ORM\Column(length: 200)]
        public readonly string $fileName,
        #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
        public readonly \DateTimeImmutable $receivedAt,
    ) {
    }
}
