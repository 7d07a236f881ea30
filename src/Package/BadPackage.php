<?php

declare(strict_types=1);

namespace MuteTapper\App\Package;

use MuteTapper\App\Shared\Problem;

/** A file that is no package of a case, or not the one that was made: what is wrong, in words, file by file. */
final class BadPackage
{
    public static function because(string ...$problems): Problem
    {
        return Problem::invalid(implode(' ', $problems), ['problems' => array_values($problems)]);
    }
}
