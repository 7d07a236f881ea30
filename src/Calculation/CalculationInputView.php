<?php

declare(strict_types=1);

namespace MuteTapper\App\Calculation;

use OpenApi\Attributes as OA;

/** A declared input. */
#[OA\Schema]
final readonly class CalculationInputView
{
    public function __construct(
        public string $name,
        public string $meaning,
        public string $dimension,
        public bool $isList,
    ) {
    }
}
