<?php

declare(strict_types=1);

namespace MuteTapper\Core\Timeline;

/** How a component went into a run: new, carried over from the run before, changed in itself, or not known. */
enum PartState: string
{
    case New = 'new';
    case Carried = 'carried';
    case Changed = 'changed';
    case Unknown = 'unknown';
}
