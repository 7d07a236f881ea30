<?php

declare(strict_types=1);

namespace MuteTapper\App\Assessment;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** The solution of a long calculation for its figures, shared by all cases that have the same. Derived, never truth. */
#[ORM\Entity]
#[ORM\Table(name: 'kept_solution')]
class KeptSolution
{
    /**
     * @param string $id SHA-256 of the calculation, its figures and the core that solved it
     * @param array<string, mixed> $content value, slopes and own half-widths, or why the figures contradict each other
     */
    public function __construct(
        #[ORM\Id, ORM\Column(length: 64)]
        public readonly string $id,
        #[ORM\Column(type: Types::JSON)]
        public readonly array $content,
        #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
        public readonly \DateTimeImmutable $madeAt,
    ) {
    }
}
