<?php

declare(strict_types=1);

namespace MuteTapper\App\Tried;

use OpenApi\Attributes as OA;

/** Something that can be tried in place of what was found. Figures are in the unit of the slider. */
#[OA\Schema]
final readonly class SliderView
{
    public function __construct(
        public string $name,
        public string $label,
        public string $unit,
        public float $from,
        public float $to,
        public float $step,
        public int $decimals,
        public float $found,
        public string $origin,
    ) {
    }
}
