<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

/** The follower's face on the lobe. */
enum FollowerFace: string
{
    case Flat = 'flat';
    case Crowned = 'crowned';
    case Roller = 'roller';
}
