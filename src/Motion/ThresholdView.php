<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use OpenApi\Attributes as OA;

/** A speed at which something begins, as found and as tried. Turns a minute. */
#[OA\Schema]
final readonly class ThresholdView
{
    public function __construct(
        #[OA\Property(enum: ['first_loss', 'meets', 'float', 'bound'])]
        public string $name,
        public string $label,
        public ?float $found,
        #[OA\Property(description: 'expanded uncertainty of what was found; null while that is not worked out')]
        public ?float $plusMinus,
        public ?float $tried,
    ) {
    }
}
