<?php

declare(strict_types=1);

namespace MuteTapper\App\Gauge;

use OpenApi\Attributes as OA;

/** A reading that came by cable, as an event of the stream carries it. */
#[OA\Schema]
final readonly class GaugeLineView
{
    /** @param string|null $height that a tester stood at, with its unit */
    public function __construct(
        public int $id,
        public string $gauge,
        public int $number,
        public string $value,
        public string $unit,
        public ?string $height,
        public bool $simulated,
    ) {
    }
}
