<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use MuteTapper\App\Shared\QuantityView;
use OpenApi\Attributes as OA;

/** A value that follows from others, and the way it came about. */
#[OA\Schema]
final readonly class ValueView
{
    public function __construct(
        public string $place,
        public string $name,
        public ?string $index,
        public string $title,
        public QuantityView $value,
        public string $way,
    ) {
    }
}
