<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

/** In which state a part was when it was looked at. */
enum SeenState: string
{
    case AsFound = 'as_found';
    case AfterCleaning = 'after_cleaning';

    /** How far a look in this state can be trusted, 0 to 1: cleaning washes signs away. [own] */
    public function sureness(): float
    {
        return $this === self::AsFound ? 1.0 : 0.7;
    }
}
