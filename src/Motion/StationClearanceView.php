<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use OpenApi\Attributes as OA;

/** How near one valve of the engine comes to its piston with the cam as found, and at which crank angle. */
#[OA\Schema]
final readonly class StationClearanceView
{
    public function __construct(
        public string $place,
        public string $label,
        #[OA\Property(description: 'null while it is not known what it takes')]
        public ?NearestView $least,
        #[OA\Property(description: 'its level is measured, not assumed')]
        public bool $isMeasured,
        #[OA\Property(description: 'its limit is passed, by what was measured or by cam and phase')]
        public bool $isOutside,
        public string $verdictWords,
    ) {
    }
}
