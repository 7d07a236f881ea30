<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use OpenApi\Attributes as OA;

/** The valves of a cylinder over its piston: the chosen one first, then one of the other kind. */
#[OA\Schema]
final readonly class PistonView
{
    /**
     * @param list<ValveClearanceView> $valves
     * @param list<int> $degrees of the crank after top dead centre
     * @param list<float> $phases crank degrees that a cam stands early; late below nothing
     * @param list<StationClearanceView> $stations every valve of the engine
     */
    public function __construct(
        public array $valves,
        public array $degrees,
        public array $phases,
        #[OA\Property(description: 'valve to valve; null where the cylinder has valves of one kind only')]
        public ?ValvePairView $pair,
        public array $stations,
        #[OA\Property(description: 'least and most that growth and stretch take at speed')]
        public float $growthLeast,
        public float $growthMost,
        public string $unit,
    ) {
    }
}
