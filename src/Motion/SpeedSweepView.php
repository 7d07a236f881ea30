<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use OpenApi\Attributes as OA;

/** What a train does at each speed of a sweep. Lengths in the case's unit, forces in its own; null where it varies from turn to turn. */
#[OA\Schema]
final readonly class SpeedSweepView
{
    /**
     * @param list<float> $loft beyond full lift
     * @param list<float> $gap at the cam
     * @param list<float|null> $bounce highest, after landing
     * @param list<float|null> $bounceLow with a seat that takes up much of the blow
     * @param list<float|null> $bounceHigh with a seat that takes up little
     * @param list<float|null> $landing metres a second
     * @param list<float> $peak force at the valve
     * @param list<bool> $varies from turn to turn
     */
    public function __construct(
        public array $loft,
        public array $gap,
        public array $bounce,
        public array $bounceLow,
        public array $bounceHigh,
        public array $landing,
        public array $peak,
        public array $varies,
    ) {
    }
}
