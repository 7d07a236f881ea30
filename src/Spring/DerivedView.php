<?php

declare(strict_types=1);

namespace MuteTapper\App\Spring;

use MuteTapper\App\Shared\QuantityView;
use OpenApi\Attributes as OA;

/** A derived value without a limit: net lift, rate, seat load at the installed height. */
#[OA\Schema]
final readonly class DerivedView
{
    public function __construct(
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public QuantityView $value,
    ) {
    }
}
