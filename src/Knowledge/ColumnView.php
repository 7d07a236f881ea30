<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use OpenApi\Attributes as OA;

/** A column of the spring sheet. */
#[OA\Schema]
final readonly class ColumnView
{
    /** @param array{string, string} $units */
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $short,
        #[OA\Property]
        public string $part,
        #[OA\Property(description: 'what has one such reading each', enum: ['station', 'cylinder', 'bank', 'engine'])]
        public string $site,
        #[OA\Property(enum: ['spring', 'before', 'build'])]
        public string $sheet,
        #[OA\Property(description: 'unit in which it is typed where none is given, inch and metric', items: new OA\Items(type: 'string'))]
        public array $units,
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
