<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

/** Where in the region of its root a mechanism strikes. */
enum EventMode: string
{
    /** Wherever its root is. */
    case Same = 'same';
    /** Here and there: whichever part gives way first. */
    case Some = 'some';
    /** The engine as a whole. */
    case Engine = 'engine';
}
