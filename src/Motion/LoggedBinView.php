<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use OpenApi\Attributes as OA;

/** Seconds that a log spent in a hundred turns a minute. */
#[OA\Schema]
final readonly class LoggedBinView
{
    public function __construct(
        #[OA\Property(description: 'turns of the crank a minute at which it begins')]
        public int $from,
        public float $seconds,
    ) {
    }
}
