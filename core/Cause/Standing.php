<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** How far the ranking goes in naming an explanation. */
enum Standing: string
{
    case Leader = 'leader';
    case OpenBetween = 'open_between';
    case NotEnough = 'not_enough_evidence';
}
