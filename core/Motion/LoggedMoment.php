<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

/** What a log says of a short while: its speeds in turns a minute, and highest pressure in the valve’s port in bar. */
final readonly class LoggedMoment
{
    /**
     * @param float $from seconds
     * @param float $until seconds
     * @param float $slowest least speed in it
     * @param float $speed highest
     * @param float|null $pressure null where nothing logged it
     * @param float|null $throttle widest, per cent; null where nothing logged it
     */
    public function __construct(
        public float $from,
        public float $until,
        public float $slowest,
        public float $speed,
        public ?float $pressure = null,
        public ?float $throttle = null,
    ) {
    }
}
