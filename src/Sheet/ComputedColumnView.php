<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use OpenApi\Attributes as OA;

/** A column of values that follow from readings. */
#[OA\Schema]
final readonly class ComputedColumnView
{
    /** @param list<string> $index as in SheetColumnView */
    public function __construct(
        public string $key,
        public string $name,
        public string $head,
        public string $under,
        public array $index,
        public string $unit,
    ) {
    }
}
