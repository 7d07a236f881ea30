<?php

declare(strict_types=1);

namespace MuteTapper\App\Teardown;

use OpenApi\Attributes as OA;

/** One move of a part, as the custody record has it. */
#[OA\Schema]
final readonly class CustodyMoveView
{
    /**
     * @param string $fromWords where it was before; empty where it comes from the engine
     * @param string|null $until day on which it is expected back
     * @param bool $isDestroyed what is done there destroys it
     * @param list<string> $invited parties that were invited before, each with its answer
     */
    public function __construct(
        public string $place,
        public string $part,
        public string $label,
        public string $where,
        public string $fromWords,
        public string $whereWords,
        public string $whom,
        public string $seal,
        public string $why,
        public ?string $until,
        public bool $isDestroyed,
        public array $invited,
        public string $note,
        public string $by,
        public string $at,
        #[OA\Property(description: 'whether this is where it is now')]
        public bool $now,
    ) {
    }
}
