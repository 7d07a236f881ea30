<?php

declare(strict_types=1);

namespace MuteTapper\App\Paper;

/** How far a paper is. */
enum PaperState: string
{
    case Waiting = 'waiting';
    case Making = 'making';
    case Ready = 'ready';
    case Failed = 'failed';
    case Cancelled = 'cancelled';
}
