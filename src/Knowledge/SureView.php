<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use OpenApi\Attributes as OA;

/** What a confidence is called, from so many per cent on. */
#[OA\Schema]
final readonly class SureView
{
    public function __construct(public int $least, public string $words)
    {
    }
}
