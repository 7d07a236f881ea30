<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use OpenApi\Attributes as OA;

/** A second fault beside the leading explanation. */
#[OA\Schema]
final readonly class FurtherCauseView
{
    public function __construct(
        public string $code,
        public string $label,
        public string $region,
        #[OA\Property(description: 'decibans that it gains with the leading explanation fixed')]
        public float $gain,
        #[OA\Property(description: 'the finding that it would explain; empty where it is no single one')]
        public string $explains,
        public bool $outside,
    ) {
    }
}
