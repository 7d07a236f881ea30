<?php

declare(strict_types=1);

namespace MuteTapper\App\Teardown;

use OpenApi\Attributes as OA;

/** Pieces that are not all on the tray. */
#[OA\Schema]
final readonly class PieceView
{
    public function __construct(
        public string $place,
        public string $part,
        public string $label,
        public int $missing,
        public string $note,
    ) {
    }
}
