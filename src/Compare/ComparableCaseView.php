<?php

declare(strict_types=1);

namespace MuteTapper\App\Compare;

use OpenApi\Attributes as OA;

/** A case whose engine is of the same build: an earlier failure, or a sister engine. */
#[OA\Schema]
final readonly class ComparableCaseView
{
    public function __construct(public string $id, public int $number, public string $name)
    {
    }
}
