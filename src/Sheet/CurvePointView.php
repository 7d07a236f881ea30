<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class CurvePointView
{
    public function __construct(public float $along, public float $up)
    {
    }
}
