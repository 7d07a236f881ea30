<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use OpenApi\Attributes as OA;

/** A cause that the analyst says it was not, and why. */
#[OA\Schema]
final readonly class RuledOutView
{
    public function __construct(public string $cause, public string $why)
    {
    }
}
