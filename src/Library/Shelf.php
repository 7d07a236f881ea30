<?php

declare(strict_types=1);

namespace MuteTapper\App\Library;

/** A shelf of the shop's library. */
enum Shelf: string
{
    case Gauges = 'gauges';
    case Springs = 'springs';
    case Limits = 'limits';
    case Engines = 'engines';
    case Studies = 'studies';
    case Stock = 'stock';
}
