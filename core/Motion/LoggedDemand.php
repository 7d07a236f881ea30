<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

/** A stretch of a log in which a valve was asked for what its train cannot do, and how far it went there. */
final readonly class LoggedDemand
{
    /**
     * @param float $from seconds
     * @param float $until seconds
     * @param float $speed highest, turns a minute
     * @param float|null $pressure highest in the port, bar
     * @param float|null $left least of the load on the seat, newtons
     * @param bool $isOverRun throttle shut all the while
     */
    public function __construct(
        public Demand $demand,
        public float $from,
        public float $until,
        public float $speed,
        public ?float $pressure,
        public ?float $left,
        public bool $isOverRun,
    ) {
    }
}
