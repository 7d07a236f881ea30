<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

/** What a value rests on, strongest first. A computed value rests on the strongest of what it was computed from. */
enum Basis: int
{
    /** Somebody tries what would be if it were so. */
    case Changed = 4;
    case Read = 3;
    /** A figure of the build as claimed, or of the engine as described. */
    case Claimed = 2;
    /** Nothing was said: a usual figure. */
    case Assumed = 1;

    /** Whether a reading is among what it rests on. */
    public function isMeasured(): bool
    {
        return $this->value >= self::Read->value;
    }

    public function orStronger(self $other): self
    {
        return $other->value > $this->value ? $other : $this;
    }
}
