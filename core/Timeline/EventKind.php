<?php

declare(strict_types=1);

namespace MuteTapper\Core\Timeline;

/** What happened to the engine. */
enum EventKind: string
{
    case Build = 'build';
    case Run = 'run';
    case Service = 'service';
    case Failure = 'failure';
}
