<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Knowledge\Cause;

/** A cause with its probability (summed over the reduced explanations that hold it) and, at its best place, its gain over "none" in decibans. */
final readonly class RankedCause
{
    public function __construct(public Cause $cause, public float $probability, public float $gain, public PlacedCause $best)
    {
    }
}
