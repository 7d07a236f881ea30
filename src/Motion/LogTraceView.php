<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use OpenApi\Attributes as OA;

/** The course of one log: speed, and what gas leaves of the load on the seat, moment by moment. */
#[OA\Schema]
final readonly class LogTraceView
{
    /**
     * @param list<float> $times seconds at which each moment begins
     * @param list<float> $low least speed in each, turns a minute
     * @param list<float> $high greatest
     * @param list<float|null> $left on the seat, in the case’s unit of force; null where log or bench does not tell
     * @param list<LoggedDemandView> $demands the first of them
     * @param int $more that are not listed
     */
    public function __construct(
        public string $file,
        public array $times,
        public array $low,
        public array $high,
        public array $left,
        public array $demands,
        public int $more,
    ) {
    }
}
