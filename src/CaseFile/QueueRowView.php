<?php

declare(strict_types=1);

namespace MuteTapper\App\CaseFile;

use MuteTapper\App\Engine\HeadPlanView;
use MuteTapper\App\Schedule\ScheduleView;
use OpenApi\Attributes as OA;

/** A case on the bench queue. */
#[OA\Schema]
final readonly class QueueRowView
{
    /** @param list<string> $failed */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $customer,
        #[OA\Property]
        public string $words,
        #[OA\Property]
        public string $engine,
        #[OA\Property]
        public HeadPlanView $plan,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $failed,
        #[OA\Property(description: 'the call, or null while open')]
        public ?string $firstEvent,
        #[OA\Property]
        public NextActView $next,
        #[OA\Property(description: 'worst severity by station, 0 for looked and nothing', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'))]
        public object $worst,
        #[OA\Property]
        public int $stations,
        #[OA\Property]
        public int $lookedAt,
        #[OA\Property]
        public int $springsMeasured,
        #[OA\Property]
        public int $photographs,
        #[OA\Property]
        public ScheduleView $schedule,
    ) {
    }
}
