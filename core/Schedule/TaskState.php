<?php

declare(strict_types=1);

namespace MuteTapper\Core\Schedule;

/** How far a task is. */
enum TaskState: string
{
    case Open = 'open';
    case Begun = 'begun';
    case Done = 'done';
}
