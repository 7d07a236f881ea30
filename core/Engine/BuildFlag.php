<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

/** A fact of the build that may be unknown. Only a certain no excludes a cause. */
enum BuildFlag: string
{
    case Yes = 'yes';
    case No = 'no';
    case Unknown = 'unknown';
}
