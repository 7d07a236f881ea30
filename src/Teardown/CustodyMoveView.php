<?php

declare(strict_types=1);

namespace MuteTapper\App\Teardown;

use OpenApi\Attributes as OA;

/** One move of a part, as the custody record has it. */
#[OA\Schema]
final readonly class CustodyMoveView
{
    public function __construct(
        public string $place,
        public string $part,
        public string $label,
        public string $where,
        public string $whereWords,
        public string $whom,
        public string $note,
        public string $by,
        public string $at,
        #[OA\Property(description: 'whether this is where it is now')]
        public bool $now,
    ) {
    }
}
