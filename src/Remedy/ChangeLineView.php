<?php

declare(strict_types=1);

namespace MuteTapper\App\Remedy;

use OpenApi\Attributes as OA;

/** One change of a remedy, in words. */
#[OA\Schema]
final readonly class ChangeLineView
{
    public function __construct(public string $what, public string $where, public string $to)
    {
    }
}
