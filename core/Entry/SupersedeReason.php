<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

/** Why an entry takes the place of an earlier one. */
enum SupersedeReason: string
{
    case Mistyped = 'mistyped';
    case Remeasured = 're-measured';
    case SeenAgain = 'seen again';
    case Undone = 'undone';
}
