<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** Where an item of evidence comes from. */
enum ItemKind: string
{
    case Finding = 'finding';
    case Bench = 'bench';
    /** A gross sign nobody answered: once there is evidence it counts softly as absent. */
    case Unanswered = 'unanswered';
}
