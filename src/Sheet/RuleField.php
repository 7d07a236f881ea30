<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use MuteTapper\Core\Sheet\Judged;

/** The fields of rules that Clearances shows. */
enum RuleField: string
{
    /** Clearances and what else has a limit of its own. */
    case Margins = 'margins';
    /** From the build as claimed. */
    case Departures = 'departures';
    /** From the middle value of the kind. */
    case Kind = 'kind';

    public static function of(Judged $judged): self
    {
        return match (true) {
            $judged->isDeparture => self::Departures,
            $judged->accusesOnly && $judged->isApart => self::Kind,
            default => self::Margins,
        };
    }
}
