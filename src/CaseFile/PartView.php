<?php

declare(strict_types=1);

namespace MuteTapper\App\CaseFile;

use OpenApi\Attributes as OA;

/** A part this engine has, with its key letter. */
#[OA\Schema]
final readonly class PartView
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $letter,
        #[OA\Property(description: 'kind of place: station, cylinder or engine')]
        public string $site,
    ) {
    }
}
