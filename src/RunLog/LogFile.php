<?php

declare(strict_types=1);

namespace MuteTapper\App\RunLog;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** A log file, kept byte for byte under its SHA-256. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'log_file')]
class LogFile
{
    public function __construct(
        #[ORM\Id, ORM\Column(length: 64)]
        public readonly string $sha256,
        #[ORM\Column(type: Types::BIGINT)]
        public readonly int $bytes,
        #[ORM\Column(length: 200)]
        public readonly string $fileName,
        #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
        public readonly \DateTimeImmutable $receivedAt,
    ) {
    }
}
