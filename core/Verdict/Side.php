<?php

declare(strict_types=1);

namespace MuteTapper\Core\Verdict;

/** On which side of a limit the good values lie. */
enum Side: string
{
    case AtLeast = 'at_least';
    case AtMost = 'at_most';
    /** The size of a signed departure counts: |x| at most the limit. */
    case Within = 'within';
    /** A least and a most. */
    case Between = 'between';

    public function words(): string
    {
        return match ($this) {
            self::AtLeast => 'at least',
            self::AtMost => 'at most',
            self::Within => 'within ±',
            self::Between => 'between',
        };
    }
}
