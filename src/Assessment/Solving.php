<?php

declare(strict_types=1);

namespace MuteTapper\App\Assessment;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** The solving of all that takes long in a case: how far it is. What came of it is kept by its figures, not here. */
#[ORM\Entity]
#[ORM\Table(name: 'solving')]
class Solving
{
    /** Seconds. */
    private const STUCK_AFTER = 60;

    #[ORM\Column(length: 10, enumType: SolvingState::class)]
    public SolvingState $state = SolvingState::Waiting;

    #[ORM\Column]
    public int $done = 0;

    #[ORM\Column]
    public int $total = 0;

    #[ORM\Column(type: Types::TEXT, nullable: true)]
    public ?string $message = null;

    public function __construct(
        #[ORM\Id, ORM\Column(length: 36)]
        public readonly string $caseId,
        #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
        public \DateTimeImmutable $movedAt,
    ) {
    }

    public function is(SolvingState $state, \DateTimeImmutable $now, int $done = 0, int $total = 0, ?string $message = null): void
    {
        $this->state = $state;
        $this->movedAt = $now;
        $this->done = $done;
        $this->total = $total;
        $this->message = $message;
    }

    /** Whether it is under way, and moved a moment ago. */
    public function isMoving(\DateTimeImmutable $now): bool
    {
        return $this->state->isMoving() && $now->getTimestamp() - $this->movedAt->getTimestamp() < self::STUCK_AFTER;
    }
}
