<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use OpenApi\Attributes as OA;

/** A column of the spring sheet. */
#[OA\Schema]
final readonly class ColumnView
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $short,
        #[OA\Property]
        public string $part,
        #[OA\Property]
        public string $dimension,
        #[OA\Property]
        public bool $byCoil,
        #[OA\Property]
        public bool $atHeight,
        #[OA\Property]
        public bool $claimable,
        #[OA\Property]
        public string $gauge,
        #[OA\Property]
        public string $gaugeLabel,
        #[OA\Property(description: 'what the gauge is worth')]
        public string $gaugeStated,
    ) {
    }
}
