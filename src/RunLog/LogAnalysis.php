<?php

declare(strict_types=1);

namespace MuteTapper\App\RunLog;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** The reading of a log in one format with one set of thresholds: how far it is, and what came of it. Derived, never truth. */
#[ORM\Entity]
#[ORM\Table(name: 'log_analysis')]
class LogAnalysis
{
    /** Seconds. */
    private const STUCK_AFTER = 60;

    #[ORM\Column(length: 10, enumType: AnalysisState::class)]
    public AnalysisState $state = AnalysisState::Waiting;

    /** Rows read so far. */
    #[ORM\Column(name: 'rows_read')]
    public int $rows = 0;

    #[ORM\Column(type: Types::BIGINT)]
    public int $bytesRead = 0;

    #[ORM\Column(type: Types::TEXT, nullable: true)]
    public ?string $message = null;

    /** When it was queued, or last moved on. */
    #[ORM\Column(type: Types::DATETIME_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $movedAt = null;

    /**
     * @param array<string, mixed> $format
     * @param array<string, mixed> $thresholds
     */
    public function __construct(
        #[ORM\Id, ORM\Column(length: 64)]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(referencedColumnName: 'sha256', nullable: false)]
        public readonly LogFile $file,
        #[ORM\Column(type: Types::JSON)]
        public readonly array $format,
        #[ORM\Column(type: Types::JSON)]
        public readonly array $thresholds,
    ) {
    }

    public function is(AnalysisState $state, \DateTimeImmutable $now): void
    {
        $this->state = $state;
        $this->movedAt = $now;
    }

    /** Whether there is nothing to begin anew: it is read, its file is bad, or it moved a moment ago. */
    public function isSettledOrMoving(\DateTimeImmutable $now): bool
    {
        return match ($this->state) {
            AnalysisState::Ready, AnalysisState::Failed => true,
            AnalysisState::Waiting, AnalysisState::Reading => $this->movedAt !== null
                && $now->getTimestamp() - $this->movedAt->getTimestamp() < self::STUCK_AFTER,
            AnalysisState::Cancelled, AnalysisState::Fault => false,
        };
    }
}
