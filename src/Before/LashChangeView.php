<?php

declare(strict_types=1);

namespace MuteTapper\App\Before;

use MuteTapper\App\Spring\MarginView;
use OpenApi\Attributes as OA;

/** How a valve changed since an earlier date. */
#[OA\Schema]
final readonly class LashChangeView
{
    public function __construct(
        #[OA\Property]
        public MarginView $margin,
        #[OA\Property]
        public string $since,
        #[OA\Property]
        public bool $drift,
        #[OA\Property]
        public string $meaning,
    ) {
    }
}
