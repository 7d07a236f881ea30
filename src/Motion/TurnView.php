<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use OpenApi\Attributes as OA;

/** One turn of the cam at one speed, degree by degree. */
#[OA\Schema]
final readonly class TurnView
{
    /**
     * @param list<float> $degrees of the crank from the nose
     * @param list<float> $asked lift that the lobe asks of the valve
     * @param list<float> $lift
     * @param list<float> $force at the valve
     * @param list<bool> $held contact with the lobe
     */
    public function __construct(
        public float $speed,
        public array $degrees,
        public array $asked,
        public array $lift,
        public array $force,
        public array $held,
        #[OA\Property(description: 'crank degrees without contact while the lobe asks for lift')]
        public float $lost,
        public float $loft,
        public float $fullLift,
        public int $bounces,
        #[OA\Property(description: 'metres a second')]
        public float $landing,
        public bool $varies,
    ) {
    }
}
