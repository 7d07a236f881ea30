<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use MuteTapper\App\Shared\QuantityView;
use OpenApi\Attributes as OA;

/** The gap between the heads of an intake and an exhaust valve of one cylinder over the crank angle. */
#[OA\Schema]
final readonly class ValvePairView
{
    /**
     * @param list<float> $found gap at each degree, cams as found
     * @param list<float> $tried the same at the phase that is tried
     * @param array<string, float> $limits by school
     * @param list<string> $missing
     */
    public function __construct(
        public string $label,
        public array $found,
        public array $tried,
        public ?NearestView $foundLeast,
        public ?NearestView $triedLeast,
        public array $limits,
        public string $ruling,
        public ?QuantityView $measured,
        #[OA\Property(description: 'both are taken to lean the same way')]
        public bool $areParallel,
        public array $missing,
        public ?string $because,
    ) {
    }
}
