<?php

declare(strict_types=1);

namespace MuteTapper\Core\Reassembly;

/** What a person did with a line. */
enum LineState: string
{
    case Ticked = 'ticked';
    /** Ticked although its value is out of range, for a reason. */
    case Kept = 'kept';
    case LeftOut = 'left_out';
}
