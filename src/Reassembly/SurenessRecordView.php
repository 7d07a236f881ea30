<?php

declare(strict_types=1);

namespace MuteTapper\App\Reassembly;

use OpenApi\Attributes as OA;

/** How calls held of which the caller was about as sure. */
#[OA\Schema]
final readonly class SurenessRecordView
{
    public function __construct(public string $words, public int $followed, public int $held)
    {
    }
}
