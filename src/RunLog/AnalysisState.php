<?php

declare(strict_types=1);

namespace MuteTapper\App\RunLog;

/** How far the reading of a log is. */
enum AnalysisState: string
{
    case Waiting = 'waiting';
    case Reading = 'reading';
    case Ready = 'ready';
    /** The file cannot be read: it says why. */
    case Failed = 'failed';
    /** The program failed on it, not the file: asked for again, it begins again. */
    case Fault = 'fault';
    case Cancelled = 'cancelled';
}
