<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

/** The kind of place at which a sign or part is counted. */
enum Site: string
{
    case Station = 'station';
    case Cylinder = 'cylinder';
    case Bank = 'bank';
    /** The cam, or the half of one cam, that moves the valves of a kind in a bank. */
    case Cam = 'cam';
    case Engine = 'engine';
}
