<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

use Symfony\Component\HttpFoundation\Request;

/** The version of a document that the person saw, from If-Match. */
final class Version
{
    public static function seen(Request $request): int
    {
        $match = trim($request->headers->get('If-Match') ?? '', 'W/" ');
        if (!ctype_digit($match)) {
            throw Problem::changedMeanwhile('If-Match with the version you saw is needed, so that nothing is overwritten unseen.');
        }

        return (int) $match;
    }
}
