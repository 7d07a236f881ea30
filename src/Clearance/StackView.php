<?php

declare(strict_types=1);

namespace MuteTapper\App\Clearance;

use MuteTapper\App\Tried\PartChoiceView;
use MuteTapper\App\Tried\SliderView;
use OpenApi\Attributes as OA;

/** The stack of one valve: drawn by its sizes, with what remains at full lift, the lift it takes, and what may be tried. */
#[OA\Schema]
final readonly class StackView
{
    /**
     * @param array<string, StackSizeView> $found
     * @param array<string, StackSizeView>|null $tried
     * @param list<StackGapView> $gaps
     * @param list<StackLoadView> $loads
     * @param list<SliderView> $sliders
     * @param list<PartChoiceView> $parts that can be tried
     */
    public function __construct(
        public string $place,
        public string $label,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(ref: StackSizeView::class))]
        public array $found,
        #[OA\Property(type: 'object', nullable: true, additionalProperties: new OA\AdditionalProperties(ref: StackSizeView::class))]
        public ?array $tried,
        public array $gaps,
        public array $loads,
        public LiftLadderView $ladder,
        public array $sliders,
        public array $parts,
    ) {
    }
}
