<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use OpenApi\Attributes as OA;

/** One of the ten steps and how far it is. */
#[OA\Schema]
final readonly class StepView
{
    public function __construct(
        public string $code,
        public string $label,
        #[OA\Property(description: '0 to 1; null where this version does not count')]
        public ?float $done,
        public string $left,
        #[OA\Property(description: 'something is missing that must not stay so')]
        public bool $overdue,
    ) {
    }
}
