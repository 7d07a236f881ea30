<?php

declare(strict_types=1);

namespace MuteTapper\App\Teardown;

use OpenApi\Attributes as OA;

/** A sign worth a look in a place, and for whose sake. */
#[OA\Schema]
final readonly class AttentionView
{
    public function __construct(
        #[OA\Property]
        public string $sign,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $part,
        #[OA\Property]
        public string $because,
    ) {
    }
}
