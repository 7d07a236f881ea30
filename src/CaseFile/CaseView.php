<?php

declare(strict_types=1);

namespace MuteTapper\App\CaseFile;

use MuteTapper\App\Cause\CallView;
use MuteTapper\App\Cause\SignedCallView;
use MuteTapper\App\Engine\EngineView;
use MuteTapper\App\Engine\HeadPlanView;
use MuteTapper\App\Evidence\EntryView;
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
     * @param list<PhotographView> $photographs
     * @param list<StepView> $steps
     * @param list<string> $possibleSigns
     * @param list<BuildPartView> $buildParts
     * @param list<NamedView> $components
     * @param list<NamedView> $cams
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public int $revision,
        #[OA\Property]
        public EngineView $engine,
        #[OA\Property]
        public int $engineVersion,
        #[OA\Property]
        public HeadPlanView $plan,
        #[OA\Property]
        public StoryView $story,
        #[OA\Property]
        public SettingsView $settings,
        #[OA\Property]
        public int $descriptionVersion,
        #[OA\Property]
        public ?CallView $call,
        #[OA\Property]
        public int $callVersion,
        #[OA\Property]
        public ?SignedCallView $signed,
        #[OA\Property(items: new OA\Items(ref: StationView::class))]
        public array $stations,
        #[OA\Property(items: new OA\Items(ref: PartView::class))]
        public array $parts,
        #[OA\Property(items: new OA\Items(ref: EntryView::class))]
        public array $entries,
        #[OA\Property(items: new OA\Items(ref: PhotographView::class))]
        public array $photographs,
        #[OA\Property(items: new OA\Items(ref: StepView::class))]
        public array $steps,
        #[OA\Property]
        public NextActView $next,
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
