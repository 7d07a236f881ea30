<?php

declare(strict_types=1);

namespace MuteTapper\App\Spring;

use MuteTapper\App\Shared\QuantityView;
use OpenApi\Attributes as OA;

/** The middle value of a set of springs. */
#[OA\Schema]
final readonly class MiddleView
{
    public function __construct(
        #[OA\Property(description: 'in words: exhausts at 1.900 in')]
        public string $set,
        #[OA\Property]
        public int $count,
        #[OA\Property]
        public QuantityView $value,
    ) {
    }
}
