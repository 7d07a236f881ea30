<?php

declare(strict_types=1);

namespace MuteTapper\App\Schedule;

/** Work for later: a laboratory's answer to a request of a case. */
final readonly class AnswerOfLaboratory
{
    public function __construct(public string $caseId, public string $task, public string $laboratory, public string $request)
    {
    }
}
