<?php

declare(strict_types=1);

namespace MuteTapper\App\Photograph;

/** Work to be done outside the request: make the working copy of a photograph. */
final readonly class MakeWorkingCopy
{
    public function __construct(public string $sha256)
    {
    }
}
