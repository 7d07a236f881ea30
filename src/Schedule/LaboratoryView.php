<?php

declare(strict_types=1);

namespace MuteTapper\App\Schedule;

use OpenApi\Attributes as OA;

/** A laboratory that can be asked. */
#[OA\Schema]
final readonly class LaboratoryView
{
    public function __construct(
        public string $code,
        public string $label,
        public float $leastDays,
        public float $mostDays,
    ) {
    }

    public static function of(Laboratory $laboratory): self
    {
        return new self($laboratory->code(), $laboratory->label(), ...$laboratory->days());
    }
}
