<?php

declare(strict_types=1);

namespace MuteTapper\App\Teardown;

use OpenApi\Attributes as OA;

/** The teardown of this engine: its plan, what is to be photographed, and the pieces counted. */
#[OA\Schema]
final readonly class TeardownView
{
    /**
     * @param list<PlannedStepView> $steps
     * @param list<ShotView> $shots
     * @param list<PieceView> $missingPieces
     */
    public function __construct(
        public int $revision,
        public array $steps,
        #[OA\Property(description: 'the next open step, or null when all are made')]
        public ?string $next,
        public array $shots,
        public array $missingPieces,
    ) {
    }
}
