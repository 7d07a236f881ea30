<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use MuteTapper\App\Assessment\NextActView;
use MuteTapper\App\Cause\CallView;
use MuteTapper\App\Cause\SignedCallView;
use MuteTapper\App\Engine\EngineView;
use MuteTapper\App\Engine\HeadPlanView;
use MuteTapper\App\Entry\EntryView;
use MuteTapper\App\Photograph\PhotographView;
use OpenApi\Attributes as OA;

/** A case as every screen needs it. */
#[OA\Schema]
final readonly class CaseView
{
    /**
     * @param list<StationView> $stations
     * @param list<PartView> $parts
     * @param list<EntryView> $entries
     * @param list<UnreadEntryView> $unread
     * @param list<PhotographView> $photographs
     * @param list<StepView> $steps
     * @param list<string> $possibleSigns
     * @param list<BuildPartView> $buildParts
     * @param list<NamedView> $components
     * @param list<NamedView> $cams
     */
    public function __construct(
        public string $id,
        public int $number,
        public string $name,
        public int $revision,
        public bool $setAside,
        public EngineView $engine,
        public int $engineVersion,
        public HeadPlanView $plan,
        public StoryView $story,
        public SettingsView $settings,
        public int $descriptionVersion,
        public ?CallView $call,
        public int $callVersion,
        public ?SignedCallView $signed,
        public array $stations,
        public array $parts,
        public array $entries,
        #[OA\Property(description: 'entries that cannot be read', items: new OA\Items(ref: UnreadEntryView::class))]
        public array $unread,
        public array $photographs,
        public array $steps,
        public NextActView $next,
        public DaysLineView $days,
        #[OA\Property(description: 'signs that this engine can show, by code', items: new OA\Items(type: 'string'))]
        public array $possibleSigns,
        #[OA\Property(description: 'parts of the build as claimed', items: new OA\Items(ref: BuildPartView::class))]
        public array $buildParts,
        #[OA\Property(description: 'what can go from one build into the next', items: new OA\Items(ref: NamedView::class))]
        public array $components,
        #[OA\Property(description: 'cams whose phase is measured', items: new OA\Items(ref: NamedView::class))]
        public array $cams,
    ) {
    }
}
