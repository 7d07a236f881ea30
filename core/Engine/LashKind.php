<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

/** How lash is held. */
enum LashKind: string
{
    case Solid = 'solid';
    case Hydraulic = 'hydraulic';
}
