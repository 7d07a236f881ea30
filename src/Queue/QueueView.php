<?php

declare(strict_types=1);

namespace MuteTapper\App\Queue;

use OpenApi\Attributes as OA;

/** A page of the bench queue. */
#[OA\Schema]
final readonly class QueueView
{
    /**
     * @param list<QueueRowView> $rows
     * @param array<string, int> $counts
     */
    public function __construct(
        public array $rows,
        #[OA\Property(description: 'cursor of the next page; null on the last')]
        public ?int $next,
        #[OA\Property(
            description: 'cases by view of the shop', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'),
        )]
        public array $counts,
    ) {
    }
}
