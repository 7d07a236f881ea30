<?php

declare(strict_types=1);

namespace MuteTapper\Core\Schedule;

/** Whether a task can be worked on today. */
enum Readiness: string
{
    case Now = 'now';
    /** It has begun and somebody else has it. */
    case Away = 'away';
    /** Another task comes first. */
    case Waits = 'waits';
    case Done = 'done';
}
