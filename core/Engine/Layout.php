<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

/** How the cylinders stand. */
enum Layout: string
{
    case Inline = 'inline';
    case Vee = 'vee';
    case Flat = 'flat';
}
