<?php

declare(strict_types=1);

namespace MuteTapper\App\Assessment;

use MuteTapper\Core\Assessment\NextAct;
use OpenApi\Attributes as OA;

/** The one thing to do next. */
#[OA\Schema]
final readonly class NextActView
{
    public function __construct(
        public string $step,
        public string $words,
        public ?string $place,
    ) {
    }

    public static function of(NextAct $act): self
    {
        return new self($act->step->value, $act->words, $act->place);
    }
}
