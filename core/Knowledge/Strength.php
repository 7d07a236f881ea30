<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

/** How often a parent brings about its child, in the words of the data files. [own] */
enum Strength: string
{
    case NearlyAlways = 'nearly always';
    case Usually = 'usually';
    case Often = 'often';
    case Sometimes = 'sometimes';
    case Rarely = 'rarely';

    public function probability(): float
    {
        return match ($this) {
            self::NearlyAlways => 0.95,
            self::Usually => 0.75,
            self::Often => 0.50,
            self::Sometimes => 0.20,
            self::Rarely => 0.05,
        };
    }
}
