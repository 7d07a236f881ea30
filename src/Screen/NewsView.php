<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use MuteTapper\App\Assessment\NextActView;
use OpenApi\Attributes as OA;

/** What followed from what was entered: how far each step is, and what became of what the screen shows. */
#[OA\Schema]
final readonly class NewsView
{
    /**
     * @param string $content names what all of this follows from
     * @param list<StepView> $steps
     * @param list<FollowedView> $sheets
     * @param list<FollowedView> $margins
     */
    public function __construct(
        public int $revision,
        public string $content,
        public array $steps,
        public NextActView $next,
        public DaysLineView $days,
        public array $sheets,
        public array $margins,
    ) {
    }
}
