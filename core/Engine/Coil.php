<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

/** Which spring of a station: one stands inside the other. */
enum Coil: string
{
    case Outer = 'outer';
    case Inner = 'inner';
    case Damper = 'damper';
    /** Outer and inner together, as many specifications have their load. */
    case Pair = 'pair';
}
