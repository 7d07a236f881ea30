<?php

declare(strict_types=1);

namespace MuteTapper\App\Before;

use OpenApi\Attributes as OA;

/** A position of the crank at which the valves of one cylinder are set and pulled. */
#[OA\Schema]
final readonly class LashStopView
{
    /** @param list<string> $stations */
    public function __construct(public string $cylinder, public int $number, public array $stations, public string $words)
    {
    }
}
