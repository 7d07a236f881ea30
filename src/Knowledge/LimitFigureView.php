<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use OpenApi\Attributes as OA;

/** What one school sets, in the unit of its limit. */
#[OA\Schema]
final readonly class LimitFigureView
{
    /** @param string $kind of valve, where it holds for these alone: intake, exhaust */
    public function __construct(
        public string $school,
        public string $label,
        public string $kind,
        public ?float $least,
        public ?float $most,
        public ?float $shippedLeast,
        public ?float $shippedMost,
    ) {
    }
}
