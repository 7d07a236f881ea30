<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

/** How bad a sign is: five steps, each with its own words for the sign in the catalogue. */
enum Severity: int
{
    case Absent = 0;
    case Trace = 1;
    case Clear = 2;
    case Heavy = 3;
    case Destroyed = 4;

    public function word(): string
    {
        return strtolower($this->name);
    }

    /** Confidence that the sign is there, for a sure observer. [own] */
    public function confidence(): float
    {
        return match ($this) {
            self::Absent => 0.04,
            self::Trace => 0.80,
            self::Clear => 0.97,
            self::Heavy, self::Destroyed => 0.99,
        };
    }
}
