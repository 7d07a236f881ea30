<?php

declare(strict_types=1);

namespace MuteTapper\App\Queue;

use MuteTapper\App\Assessment\NextActView;
use MuteTapper\App\Schedule\ScheduleView;
use OpenApi\Attributes as OA;

/** A case on the bench queue. One that cannot be read is a row as well, with what is wrong with it. */
#[OA\Schema]
final readonly class QueueRowView
{
    public function __construct(
        public string $id,
        public int $number,
        public bool $setAside,
        #[OA\Property(description: 'why the case cannot be shown; null when it can')]
        public ?string $unreadable,
        #[OA\Property(description: 'where the search found its words, with some words around; empty without a search')]
        public string $found,
        public string $name,
        public string $customer,
        public string $words,
        public string $engine,
        #[OA\Property(description: 'key of its head plan among those of the page; null when it cannot be read')]
        public ?string $plan,
        /** @var list<string> */
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $failed,
        #[OA\Property(description: 'the call, or null while open')]
        public ?string $firstEvent,
        #[OA\Property(ref: NextActView::class)]
        public object $next,
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
