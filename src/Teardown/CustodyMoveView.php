<?php

declare(strict_types=1);

namespace MuteTapper\App\Teardown;

use OpenApi\Attributes as OA;

/** One move of a part, as the custody record has it. */
#[OA\Schema]
final readonly class CustodyMoveView
{
    public function __construct(
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public string $part,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $where,
        #[OA\Property]
        public string $whereWords,
        #[OA\Property]
        public string $whom,
        #[OA\Property]
        public string $note,
        #[OA\Property]
        public string $by,
        #[OA\Property]
        public string $at,
        #[OA\Property(description: 'whether this is where it is now')]
        public bool $now,
    ) {
    }
}
