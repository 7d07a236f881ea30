<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use OpenApi\Attributes as OA;

/** The ledger of one cause: lines for and against, adding up to the total for this cause alone. */
#[OA\Schema]
final readonly class LedgerView
{
    /**
     * @param list<LedgerLineView> $for
     * @param list<LedgerLineView> $against
     * @param list<string> $silentNames what the silent lines are of
     */
    public function __construct(
        public string $cause,
        public string $label,
        public string $explain,
        #[OA\Property(description: 'where it explains most, in words')]
        public string $region,
        #[OA\Property(description: 'what it is held against: none listed, or the label of another cause')]
        public string $baseline,
        #[OA\Property(description: 'weight before any evidence, decibans')]
        public float $start,
        public array $for,
        public array $against,
        #[OA\Property(description: 'lines below half a deciban')]
        public int $silent,
        public array $silentNames,
        #[OA\Property(description: 'all lines together, silent ones included')]
        public float $evidence,
        public float $total,
    ) {
    }
}
