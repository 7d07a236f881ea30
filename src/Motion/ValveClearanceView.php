<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\App\Sheet\MarginView;
use OpenApi\Attributes as OA;

/** The room between one valve and its piston over the crank angle, and the least of it over the phase of its cam. */
#[OA\Schema]
final readonly class ValveClearanceView
{
    /**
     * @param list<float> $found clearance at each degree, as the cam was found
     * @param list<float> $tried the same at the phase that is tried
     * @param list<float> $least least clearance at each phase
     * @param array<string, float> $limits by school
     * @param list<string> $missing
     */
    public function __construct(
        public string $place,
        public string $label,
        #[OA\Property(enum: ['I', 'E'])]
        public string $kind,
        public array $found,
        public array $tried,
        public ?NearestView $foundLeast,
        public ?NearestView $triedLeast,
        public array $least,
        #[OA\Property(description: 'crank degrees that its cam was found early; late below nothing')]
        public float $early,
        public array $limits,
        public string $ruling,
        #[OA\Property(description: 'a measured clearance that fixes the level; null where it is assumed')]
        public ?QuantityView $measured,
        public string $sign,
        #[OA\Property(description: 'relief around the valve')]
        public ?MarginView $radial,
        #[OA\Property(description: 'metal from the relief to the ring groove, as it is')]
        public ?MarginView $metal,
        #[OA\Property(description: 'the same under the deeper relief that is tried')]
        public ?MarginView $metalTried,
        public array $missing,
        public ?string $because,
    ) {
    }
}
