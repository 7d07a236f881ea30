<?php

declare(strict_types=1);

namespace MuteTapper\App\RunLog;

/** Work to be done outside the request: read a log from its first row to its last. */
final readonly class AnalyseLog
{
    public function __construct(public string $analysis)
    {
    }
}
