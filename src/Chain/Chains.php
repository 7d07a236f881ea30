<?php

declare(strict_types=1);

namespace MuteTapper\App\Chain;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Cause\Rankings;
use MuteTapper\App\Cause\SignedWith;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Chain\Chain;

/** Chains of damage: what follows from the ranking is kept, what people changed is laid over it. */
final readonly class Chains implements SignedWith
{
    public function __construct(private Assessments $assessments, private Rankings $rankings)
    {
    }

    public function of(CaseRecord $case): ChainView
    {
        $laid = $this->assessments->kept('chain', $case, static fn (Assessment $assessment): Chain => $assessment->chain());

        return ChainView::of($this->assessments->of($case), $laid, $this->rankings->of($case));
    }

    public function name(): string
    {
        return 'chain';
    }

    public function shown(CaseRecord $case): ChainView
    {
        return $this->of($case);
    }
}
