<?php

declare(strict_types=1);

namespace MuteTapper\App\Remedy;

use MuteTapper\App\Sheet\MarginView;
use OpenApi\Attributes as OA;

/** What a remedy does to one margin or figure, where it ends worst. */
#[OA\Schema]
final readonly class EffectView
{
    /**
     * @param string|null $before as found, in the unit of the row; null where nothing is known
     * @param MarginView|null $margin after; null of a figure that nothing limits
     * @param float|null $from position on the scale of the margin where it stood before, 0 to 1
     * @param string $missing what must be read to know it; empty where it is known
     * @param list<StationEffectView> $stations at every place, for the plan
     */
    public function __construct(
        public string $remedy,
        public string $place,
        public string $label,
        public ?string $before,
        public ?string $after,
        public ?MarginView $margin,
        public ?float $from,
        #[OA\Property(enum: ['unchanged', 'worse', 'better', 'moved', 'not_known'])]
        public string $moved,
        public string $missing,
        public array $stations,
    ) {
    }
}
