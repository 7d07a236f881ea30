<?php

declare(strict_types=1);

namespace MuteTapper\Core\Teardown;

/** How a step of the plan stands. */
enum StepState: string
{
    case Open = 'open';
    case Done = 'done';
    case Skipped = 'skipped';
}
