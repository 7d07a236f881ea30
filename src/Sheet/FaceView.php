<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use OpenApi\Attributes as OA;

/** A page of a sheet, or a line of its rows: a part of the index that all its cells have. */
#[OA\Schema]
final readonly class FaceView
{
    public function __construct(public string $code, public string $label)
    {
    }
}
