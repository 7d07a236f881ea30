<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use OpenApi\Attributes as OA;

/** What of a table cannot be taken, and where it stands. */
#[OA\Schema]
final readonly class CsvRefusalView
{
    public function __construct(
        public int $line,
        public string $column,
        public string $reason,
    ) {
    }
}
