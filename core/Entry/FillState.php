<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

/** State of a hydraulic element when it was pressed: without it the finding says nothing. */
enum FillState: string
{
    case Filled = 'filled';
    case Drained = 'drained';
}
