<?php

declare(strict_types=1);

namespace MuteTapper\App\Queue;

use MuteTapper\App\Engine\HeadPlanView;
use OpenApi\Attributes as OA;

/** A page of the bench queue; beside its rows stand the head plans that they name, each once. */
#[OA\Schema]
final readonly class QueueView
{
    #[OA\Property(description: 'by key', type: 'object', additionalProperties: new OA\AdditionalProperties(ref: HeadPlanView::class))]
    public object $plans;

    /**
     * @param list<QueueRowView> $rows
     * @param array<string, int> $counts
     * @param array<string, string> $storedPlans JSON by key, as it is stored: a page would take longer to write it anew than for all else
     */
    public function __construct(
        public array $rows,
        #[OA\Property(description: 'cursor of the next page; null on the last')]
        public ?int $next,
        #[OA\Property(
            description: 'cases by view of the shop', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'),
        )]
        public array $counts,
        private array $storedPlans,
    ) {
        $this->plans = (object) [];
    }

    public function toJson(): string
    {
        $plans = [];
        foreach ($this->storedPlans as $key => $plan) {
            $plans[] = sprintf('"%s":%s', $key, $plan);
        }

        // Quotes inside of texts are escaped, so this is found but once.
        return str_replace('"plans":{}', '"plans":{'.implode(',', $plans).'}', json_encode($this, \JSON_THROW_ON_ERROR));
    }
}
