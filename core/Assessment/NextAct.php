<?php

declare(strict_types=1);

namespace MuteTapper\Core\Assessment;

use MuteTapper\Core\CaseFile\Step;

/** The one thing to do next, and where. */
final readonly class NextAct
{
    public function __construct(public Step $step, public string $words, public ?string $place = null)
    {
    }
}
