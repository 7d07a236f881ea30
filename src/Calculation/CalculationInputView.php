<?php

declare(strict_types=1);

namespace MuteTapper\App\Calculation;

use OpenApi\Attributes as OA;

/** A declared input. */
#[OA\Schema]
final readonly class CalculationInputView
{
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $meaning,
        #[OA\Property]
        public string $dimension,
        #[OA\Property]
        public bool $isList,
    ) {
    }
}
