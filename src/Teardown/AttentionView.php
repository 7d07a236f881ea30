<?php

declare(strict_types=1);

namespace MuteTapper\App\Teardown;

use OpenApi\Attributes as OA;

/** A sign worth a look in a place, and for whose sake. */
#[OA\Schema]
final readonly class AttentionView
{
    public function __construct(
        public string $sign,
        public string $name,
        public string $part,
        public string $because,
    ) {
    }
}
