<?php

declare(strict_types=1);

namespace MuteTapper\App\Gauge;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use MuteTapper\Core\Gauge\GaugeLine;

/** A line that a gauge sent by cable, until whoever listens has taken it. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'gauge_line')]
class ReceivedLine
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public int $id;

    private function __construct(
        #[ORM\Column(length: 80)]
        public readonly string $gauge,
        #[ORM\Column]
        public readonly int $number,
        #[ORM\Column(length: 40)]
        public readonly string $value,
        #[ORM\Column(length: 12)]
        public readonly string $unit,
        #[ORM\Column(length: 40, nullable: true)]
        public readonly ?string $height,
        #[ORM\Column]
        public readonly bool $simulated,
        #[ORM\Column(name: 'received_at', type: Types::DATETIME_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
    }

    public static function of(GaugeLine $line, \DateTimeImmutable $at): self
    {
        return new self($line->gauge, $line->number, $line->value, $line->unit->value, $line->height, $line->isSimulated, $at);
    }
}
