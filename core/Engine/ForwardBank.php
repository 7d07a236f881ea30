<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

/** Which bank stands nearer the front of the engine. */
enum ForwardBank: string
{
    case A = 'A';
    case B = 'B';
}
