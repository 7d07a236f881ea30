<?php

declare(strict_types=1);

namespace MuteTapper\App\Teardown;

use MuteTapper\Core\Teardown\StepState;
use OpenApi\Attributes as OA;

/** A step of the plan: what it destroys, what must be recorded first, and what of it is still missing. */
#[OA\Schema]
final readonly class PlannedStepView
{
    /**
     * @param list<string> $destroys
     * @param list<RequirementView> $recordFirst
     * @param list<string> $tooEarlyFor
     */
    public function __construct(
        public string $code,
        public string $label,
        public int $minutes,
        public StepState $state,
        public string $reason,
        public array $destroys,
        public array $recordFirst,
        #[OA\Property(description: 'of recordFirst, how many are still missing')]
        public int $missing,
        #[OA\Property(description: 'steps that belong before it but stand after it', items: new OA\Items(type: 'string'))]
        public array $tooEarlyFor,
        #[OA\Property(description: 'why the step is in the plan, where a suspicion asks for it')]
        public ?string $because,
        public ?string $caution,
    ) {
    }
}
