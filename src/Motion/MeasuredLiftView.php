<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use MuteTapper\Core\Entry\DegreeWheel;
use OpenApi\Attributes as OA;

/** The lift of a lobe as it was measured, from its nose. */
#[OA\Schema]
final readonly class MeasuredLiftView
{
    /**
     * @param list<float> $degrees of the cam, from the nose
     * @param list<float> $lifts in the case’s unit
     */
    public function __construct(
        #[OA\Property(description: 'for which it stands: the lobe alone, or all of its kind')]
        public string $place,
        public string $label,
        public DegreeWheel $wheel,
        public string $gauge,
        public array $degrees,
        public array $lifts,
        #[OA\Property(description: 'standard deviation of what the smoothing took away, in the case’s unit')]
        public float $noise,
    ) {
    }
}
