<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

/** The kind of place at which a sign or part is counted. */
enum Site: string
{
    case Station = 'station';
    case Cylinder = 'cylinder';
    case Bank = 'bank';
    case Engine = 'engine';
}
