<?php

declare(strict_types=1);

namespace MuteTapper\Core\Timeline;

/** What a shop counts the life of an engine in. */
enum RunUnit: string
{
    case Hours = 'h';
    case Kilometres = 'km';
    case Miles = 'mi';
    case Runs = 'runs';
}
