<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use OpenApi\Attributes as OA;

/** A part this engine has, with its key letter. */
#[OA\Schema]
final readonly class PartView
{
    public function __construct(
        public string $code,
        public string $label,
        public string $letter,
        #[OA\Property(description: 'kind of place: station, cylinder or engine')]
        public string $site,
    ) {
    }
}
