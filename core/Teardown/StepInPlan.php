<?php

declare(strict_types=1);

namespace MuteTapper\Core\Teardown;

use MuteTapper\Core\Knowledge\PlannedStep;

/** A step as it stands in the plan of one engine. */
final readonly class StepInPlan
{
    /**
     * @param list<Missing> $recordFirst
     * @param list<string> $tooEarlyFor labels of steps that belong before it, but stand after it and are open
     * @param list<string> $families suspected families for whose sake the step is in the plan
     */
    public function __construct(
        public PlannedStep $step,
        public StepState $state,
        public string $reason,
        public array $recordFirst,
        public array $tooEarlyFor,
        public array $families,
    ) {
    }

    /** @return list<Missing> what is still to be recorded before it */
    public function missing(): array
    {
        return array_values(array_filter($this->recordFirst, static fn (Missing $missing): bool => !$missing->isRecorded()));
    }
}
