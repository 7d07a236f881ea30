<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\Core\Assessment\Assessment;

/** Rankings of cases, each computed once for one content. */
final readonly class Rankings
{
    public function __construct(private Assessments $assessments)
    {
    }

    public function of(CaseRecord $case): RankingView
    {
        $derive = static fn (Assessment $assessment): RankingView => RankingView::of($assessment, $assessment->ranking(), $case->revision);

        return $this->assessments->kept('ranking', $case, $derive)->at($case->revision);
    }
}
