<?php

declare(strict_types=1);

namespace MuteTapper\App\Assessment;

/** Work to be done outside the request: solve what takes long in a case. */
final readonly class SolveLong
{
    public function __construct(public string $caseId)
    {
    }
}
