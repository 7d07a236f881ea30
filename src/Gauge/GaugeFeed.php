<?php

declare(strict_types=1);

namespace MuteTapper\App\Gauge;

/** A gauge that sends its readings by cable. The real ones plug in here; `docs/formats` has the line they send. */
interface GaugeFeed
{
    /** Whether this gauge is connected, by its code in the library. */
    public function has(string $gauge): bool;

    /** The reading it shows now. */
    public function read(string $gauge, string $quantity): GaugeReadingView;

    public function isSimulated(): bool;
}
