<?php

declare(strict_types=1);

namespace MuteTapper\App\Remedy;

use MuteTapper\App\Tried\PartChoiceView;
use OpenApi\Attributes as OA;

/** What could be changed on an engine, side by side. */
#[OA\Schema]
final readonly class RemediesView
{
    /**
     * @param list<RemedyView> $remedies
     * @param list<EffectRowView> $rows what any of them moves, and what stands outside
     * @param list<AdjustmentView> $adjustments what can be changed on this engine
     * @param list<PartChoiceView> $parts that can be taken whole
     * @param bool $removesNothing something is taken, and all of it only holds: the cause that was called stays
     * @param bool $isSolved whether all that takes long is worked out: speeds of float, clearances by the cam
     */
    public function __construct(
        public array $remedies,
        public array $rows,
        public array $adjustments,
        public array $parts,
        public bool $removesNothing,
        public bool $isSolved,
    ) {
    }
}
