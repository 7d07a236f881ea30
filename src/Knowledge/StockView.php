<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use OpenApi\Attributes as OA;

/** What a shop keeps in stock, as it stands now and as it is shipped. */
#[OA\Schema]
final readonly class StockView
{
    /**
     * @param list<float> $thicknesses
     * @param list<float> $shipped thicknesses as shipped
     */
    public function __construct(
        public string $code,
        public string $title,
        public string $unit,
        public array $thicknesses,
        public array $shipped,
        public float $tolerance,
        public int $most,
        public string $mark,
        public string $source,
        public bool $isShops,
    ) {
    }
}
