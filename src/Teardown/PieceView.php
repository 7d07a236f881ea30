<?php

declare(strict_types=1);

namespace MuteTapper\App\Teardown;

use OpenApi\Attributes as OA;

/** Pieces that are not all on the tray. */
#[OA\Schema]
final readonly class PieceView
{
    public function __construct(
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public string $part,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public int $missing,
        #[OA\Property]
        public string $note,
    ) {
    }
}
