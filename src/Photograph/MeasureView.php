<?php

declare(strict_types=1);

namespace MuteTapper\App\Photograph;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\Core\Photograph\Shape;
use OpenApi\Attributes as OA;

/** A drawing on a photograph, with what it measures. */
#[OA\Schema]
final readonly class MeasureView
{
    /** @param list<array{float, float}> $points */
    public function __construct(
        #[OA\Property(description: 'of the entry')]
        public string $id,
        #[OA\Property(description: 'index of its slot')]
        public string $index,
        public string $sha256,
        public Shape $shape,
        #[OA\Property(items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')))]
        public array $points,
        public string $words,
        #[OA\Property(description: 'a scale’s distance as typed, or what was measured')]
        public ?QuantityView $measured,
        #[OA\Property(description: 'why nothing is measured, where something should be')]
        public ?string $why,
    ) {
    }
}
