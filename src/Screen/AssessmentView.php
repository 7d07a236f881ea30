<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use MuteTapper\App\Assessment\NextActView;
use MuteTapper\App\Cause\LedgerView;
use MuteTapper\App\Cause\NextChecksView;
use MuteTapper\App\Cause\RankingView;
use MuteTapper\App\Chain\ChainView;
use MuteTapper\App\Sheet\SheetView;
use OpenApi\Attributes as OA;

/** What `case:assess` prints: all that follows from a case document. */
#[OA\Schema]
final readonly class AssessmentView
{
    /**
     * @param int $revision number of entries
     * @param array<string, SheetView> $sheets by code
     * @param SpringMarginsView $springs margins of springs and heights, under the name by which scripts know them
     * @param list<LedgerView> $ledgers of the leading causes
     * @param list<StepView> $progress
     */
    public function __construct(
        public int $revision,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(ref: SheetView::class))]
        public array $sheets,
        public SpringMarginsView $springs,
        public RankingView $ranking,
        public array $ledgers,
        public NextChecksView $nextChecks,
        public ChainView $chain,
        public array $progress,
        public NextActView $next,
    ) {
    }
}
