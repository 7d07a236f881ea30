<?php

declare(strict_types=1);

namespace MuteTapper\Core\Assessment;

use MuteTapper\Core\CaseFile\Step;

/** How far one step of the work is, from 0 to 1, and what is left in words; overdue where something is missing that must not stay so. */
final readonly class StepProgress
{
    public function __construct(public Step $step, public float $done, public string $left, public bool $isOverdue = false)
    {
    }
}
