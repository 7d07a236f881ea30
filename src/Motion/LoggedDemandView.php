<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use MuteTapper\Core\Motion\Demand;
use OpenApi\Attributes as OA;

/** A stretch of a log in which the valve was asked for what its train cannot do. */
#[OA\Schema]
final readonly class LoggedDemandView
{
    public function __construct(
        public Demand $demand,
        public float $from,
        public float $until,
        #[OA\Property(description: 'highest, turns a minute')]
        public float $speed,
        #[OA\Property(description: 'highest pressure in the port, bar')]
        public ?float $pressure,
        #[OA\Property(description: 'least load on the seat, in the case’s unit of force')]
        public ?float $left,
        #[OA\Property(description: 'the throttle was shut all the while')]
        public bool $isOverRun,
        #[OA\Property(description: 'no other of its kind went further')]
        public bool $isGravest,
    ) {
    }
}
