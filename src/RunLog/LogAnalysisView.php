<?php

declare(strict_types=1);

namespace MuteTapper\App\RunLog;

use OpenApi\Attributes as OA;

/** How far the reading of a log is, and what was found once it is ready. */
#[OA\Schema]
final readonly class LogAnalysisView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property(type: 'string', enum: AnalysisState::class)]
        public AnalysisState $state,
        #[OA\Property]
        public int $rows,
        #[OA\Property(description: '0 to 1')]
        public float $done,
        #[OA\Property]
        public ?string $message,
        #[OA\Property(ref: LogResultView::class, nullable: true)]
        public ?object $result,
    ) {
    }
}
