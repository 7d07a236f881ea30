<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

/** What a run asked of a valve that its train cannot do. */
enum Demand: string
{
    case ContactLost = 'contact_lost';
    case Float = 'float';
    case Unseated = 'unseated';
}
