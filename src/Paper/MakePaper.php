<?php

declare(strict_types=1);

namespace MuteTapper\App\Paper;

/** Work to be done outside the request: make a paper. */
final readonly class MakePaper
{
    public function __construct(public string $paper)
    {
    }
}
