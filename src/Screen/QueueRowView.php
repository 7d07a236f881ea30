<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use MuteTapper\App\Engine\HeadPlanView;
use MuteTapper\App\Schedule\ScheduleView;
use OpenApi\Attributes as OA;

/** A case on the bench queue. */
#[OA\Schema]
final readonly class QueueRowView
{
    /** @param list<string> $failed */
    public function __construct(
        public string $id,
        public int $number,
        public string $name,
        public string $customer,
        public string $words,
        public string $engine,
        public HeadPlanView $plan,
        public array $failed,
        #[OA\Property(description: 'the call, or null while open')]
        public ?string $firstEvent,
        public NextActView $next,
        #[OA\Property(
            description: 'worst severity by station, 0 for looked and nothing', type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'integer'),
        )]
        public object $worst,
        public int $stations,
        public int $lookedAt,
        public int $springsMeasured,
        public int $photographs,
        public ScheduleView $schedule,
    ) {
    }
}
