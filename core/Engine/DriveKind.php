<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

/** What opens the valve. */
enum DriveKind: string
{
    case Pushrod = 'pushrod';
    case Bucket = 'bucket';
    case Finger = 'finger';
}
