<?php

declare(strict_types=1);

namespace MuteTapper\App\Timeline;

use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Timeline\CarriedParts;
use MuteTapper\Core\Timeline\Timeline;
use OpenApi\Attributes as OA;

/** The life of the engine in order. The events themselves are entries; here is their order and what does not fit. */
#[OA\Schema]
final readonly class TimelineView
{
    /**
     * @param list<string> $order
     * @param list<string> $contradictions
     * @param list<CarriedByTagsView> $byTags
     * @param list<string> $carried what went from failure to failure, and what did not, in sentences
     */
    private function __construct(
        public int $revision,
        #[OA\Property(description: 'ids of the events, oldest first', items: new OA\Items(type: 'string'))]
        public array $order,
        public array $contradictions,
        public array $byTags,
        public array $carried,
    ) {
    }

    public static function of(CaseFile $case, int $revision): self
    {
        $timeline = Timeline::of($case);

        $byTags = [];
        foreach ($timeline->byTags as $component => $states) {
            foreach ($states as $event => $state) {
                $byTags[] = new CarriedByTagsView($component, $event, $state);
            }
        }

        return new self(
            $revision, array_map(strval(...), array_keys($timeline->events)), $timeline->contradictions, $byTags,
            CarriedParts::of($timeline)->sentences($case->engine),
        );
    }
}
