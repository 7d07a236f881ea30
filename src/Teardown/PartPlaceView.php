<?php

declare(strict_types=1);

namespace MuteTapper\App\Teardown;

use OpenApi\Attributes as OA;

/** A place where a part stands, or where it was read off the engine. */
#[OA\Schema]
final readonly class PartPlaceView
{
    public function __construct(
        public string $case,
        public int $number,
        public string $name,
        public string $place,
        public string $label,
        public bool $isLoose,
    ) {
    }
}
