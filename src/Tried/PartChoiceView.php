<?php

declare(strict_types=1);

namespace MuteTapper\App\Tried;

use OpenApi\Attributes as OA;

/** A spring or a lobe that can be tried: one off the engine, or one of the library. */
#[OA\Schema]
final readonly class PartChoiceView
{
    /** @param string $from where a change takes it from */
    public function __construct(
        #[OA\Property(enum: ['spring', 'lobe'])]
        public string $part,
        public string $from,
        public string $name,
        public bool $isShelved,
    ) {
    }
}
