<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** How far the ranking goes in naming an explanation. */
enum Standing: string
{
    /** One explanation is named, of one cause or two. */
    case Leader = 'leader';
    /** One cause is named; that there is a second is likely, which one is open. */
    case LeaderAndOpen = 'leader_and_open';
    /** The evidence goes as far as a few causes, or as a mechanism whose root is open between them. */
    case OpenBetween = 'open_between';
    case NotEnough = 'not_enough_evidence';
}
