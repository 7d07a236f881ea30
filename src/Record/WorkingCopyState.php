<?php

declare(strict_types=1);

namespace MuteTapper\App\Record;

/** Whether the working copy without metadata has been made. */
enum WorkingCopyState: string
{
    case Waiting = 'waiting';
    case Ready = 'ready';
    case Failed = 'failed';
    /** The original is known by its checksum only: it came in a case without its pictures. */
    case Missing = 'missing';
}
