<?php

declare(strict_types=1);

namespace MuteTapper\App\Library;

use MuteTapper\Core\Engine\Part;

/** A shelf of the shop's library. */
enum Shelf: string
{
    case Gauges = 'gauges';
    case Springs = 'springs';
    case Lobes = 'lobes';
    case Limits = 'limits';
    case Engines = 'engines';
    case Studies = 'studies';
    case Stock = 'stock';
    case Links = 'links';

    /** The part of an engine that stands there by its maker’s figures; null on the other shelves. */
    public function part(): ?Part
    {
        return match ($this) {
            self::Springs => Part::Spring,
            self::Lobes => Part::Lobe,
            default => null,
        };
    }
}
