<?php

declare(strict_types=1);

namespace MuteTapper\App\Assessment;

/** How far the solving of what takes long in a case is. */
enum SolvingState: string
{
    case Waiting = 'waiting';
    case Solving = 'solving';
    case Done = 'done';
    case Cancelled = 'cancelled';
    case Fault = 'fault';

    public function isMoving(): bool
    {
        return $this === self::Waiting || $this === self::Solving;
    }
}
