<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use MuteTapper\App\Sheet\MarginView;
use MuteTapper\App\Tried\PartChoiceView;
use MuteTapper\App\Tried\SliderView;
use OpenApi\Attributes as OA;

/** How the valve of a station moves: its lobe, what moves, when it lets go, and the same as tried. */
#[OA\Schema]
final readonly class MotionView
{
    /**
     * @param list<MotionFigureView> $card
     * @param list<MotionFigureView> $figures
     * @param list<MotionFigureView> $statics
     * @param list<string> $missing what is to be measured, weighed or stated first
     * @param list<string> $remarks
     * @param list<ThresholdView> $thresholds
     * @param list<float> $speeds of the sweeps, turns of the crank a minute
     * @param list<HarmonicView> $harmonics
     * @param list<SliderView> $sliders
     * @param list<PartChoiceView> $parts that can be tried
     * @param list<WeighedView> $weighed what more spring, or less, is paid with
     */
    public function __construct(
        public string $place,
        public string $label,
        public array $card,
        public ?LiftCurveView $lobe,
        #[OA\Property(description: 'what the card leaves open of the lobe; null where it was measured')]
        public ?LiftBandView $lobeBand,
        public ?LiftCurveView $triedLobe,
        #[OA\Property(description: 'the lift as measured, where it goes before the card')]
        public ?MeasuredLiftView $measured,
        #[OA\Property(description: 'lift against that of the card: below nothing it is worn')]
        public ?MarginView $worn,
        public array $figures,
        public array $statics,
        public array $missing,
        #[OA\Property(description: 'why there is no train of what is known; null where there is one, or something is missing')]
        public ?string $because,
        public array $remarks,
        public array $thresholds,
        public array $speeds,
        public ?SpeedSweepView $sweep,
        public ?SpeedSweepView $triedSweep,
        public ?string $triedBecause,
        #[OA\Property(description: 'loft at which something is met, and what: the tightest gap of the station')]
        public ?float $meetsAt,
        public ?string $meets,
        #[OA\Property(description: 'loft that is called float')]
        public float $floatLoft,
        #[OA\Property(description: 'highest speed it saw, turns a minute')]
        public ?float $highest,
        public array $harmonics,
        public array $sliders,
        public array $parts,
        public array $weighed,
        #[OA\Property(description: 'what takes long is solved for these figures')]
        public bool $isSolved,
        public string $unitLength,
        public string $unitForce,
    ) {
    }
}
