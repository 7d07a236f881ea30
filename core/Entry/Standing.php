<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

/** How well a claim about the build is founded. */
enum Standing: string
{
    case Known = 'known';
    case Said = 'said';
    case Unknown = 'unknown';
}
