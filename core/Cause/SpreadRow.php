<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** What a spread is expected of: a cause by its scope, a mechanism that strikes some of the stations it could, or nothing at all. */
enum SpreadRow: string
{
    case Station = 'station';
    case Cylinder = 'cylinder';
    case Several = 'several';
    case Kind = 'kind';
    case Bank = 'bank';
    case All = 'all';
    case Some = 'some';
    case Leak = 'leak';
}
