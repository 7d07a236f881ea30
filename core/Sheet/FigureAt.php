<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Verdict\Bound;

/** A figure at one place that is held against its like at others: as it was read, or worked out. */
final readonly class FigureAt
{
    /**
     * @param string $index under which it is read, such as the coil
     * @param string $height at which it was tested: figures of two heights are not alike; empty where it has none
     * @param Bound|null $bound where its good values end, where a limit is set
     */
    public function __construct(
        public string $place,
        public string $code,
        public string $index,
        public string $title,
        public Fineness $fineness,
        public Uncertain $value,
        public string $height = '',
        public bool $isOutside = false,
        public ?Bound $bound = null,
    ) {
    }
}
