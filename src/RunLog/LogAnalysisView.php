<?php

declare(strict_types=1);

namespace MuteTapper\App\RunLog;

use OpenApi\Attributes as OA;

/** How far the reading of a log is, and what was found once it is ready. */
#[OA\Schema]
final readonly class LogAnalysisView
{
    public function __construct(
        public string $id,
        public AnalysisState $state,
        public int $rows,
        #[OA\Property(description: '0 to 1')]
        public float $done,
        public ?string $message,
        #[OA\Property(ref: LogResultView::class, nullable: true)]
        public ?object $result,
    ) {
    }
}
