<?php

declare(strict_types=1);

namespace MuteTapper\App\Remedy;

use MuteTapper\Core\Verdict\Verdict;
use OpenApi\Attributes as OA;

/** How a margin ends at one place. */
#[OA\Schema]
final readonly class StationEffectView
{
    public function __construct(public string $place, public string $after, public ?Verdict $verdict)
    {
    }
}
