<?php

declare(strict_types=1);

namespace MuteTapper\App\RunLog;

/** How far the reading of a log is. */
enum AnalysisState: string
{
    case Waiting = 'waiting';
    case Reading = 'reading';
    case Ready = 'ready';
    case Failed = 'failed';
    case Cancelled = 'cancelled';
}
