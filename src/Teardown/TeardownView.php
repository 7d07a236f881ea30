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
        #[OA\Property]
        public int $revision,
        #[OA\Property(items: new OA\Items(ref: PlannedStepView::class))]
        public array $steps,
        #[OA\Property(description: 'the next open step, or null when all are made')]
        public ?string $next,
        #[OA\Property(items: new OA\Items(ref: ShotView::class))]
        public array $shots,
        #[OA\Property(items: new OA\Items(ref: PieceView::class))]
        public array $missingPieces,
    ) {
    }
}
