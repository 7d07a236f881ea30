<?php

declare(strict_types=1);

namespace MuteTapper\App\Calculation;

use MuteTapper\App\Shared\QuantityView;
use OpenApi\Attributes as OA;

/** One input of a trace. */
#[OA\Schema]
final readonly class TraceInputView
{
    public function __construct(
        public string $name,
        public string $meaning,
        public QuantityView $value,
        public string $origin,
        #[OA\Property(description: 'share of the variance, 0 to 1')]
        public float $share,
    ) {
    }
}
