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
    #[ORM\Column(length: 10, enumType: AnalysisState::class)]
    public AnalysisState $state = AnalysisState::Waiting;

    /** Rows read so far. */
    #[ORM\Column(name: 'rows_read')]
    public int $rows = 0;

    #[ORM\Column(type: Types::BIGINT)]
    public int $bytesRead = 0;

    #[ORM\Column(type: Types::TEXT, nullable: true)]
    public ?string $message = null;

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
}
