<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use OpenApi\Attributes as OA;

/** A finding that records the result of a check. */
#[OA\Schema]
final readonly class CheckEntryView
{
    public function __construct(
        public string $place,
        public string $part,
        #[OA\Property(description: 'code of the sign')]
        public string $item,
        #[OA\Property(description: '0 for looked, nothing there')]
        public int $severity,
    ) {
    }
}
