<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use OpenApi\Attributes as OA;

/** How often, in a word and as a share. */
#[OA\Schema]
final readonly class StrengthView
{
    public function __construct(public string $word, public float $share)
    {
    }
}
