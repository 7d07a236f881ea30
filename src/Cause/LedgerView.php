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
     */
    public function __construct(
        #[OA\Property]
        public string $cause,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $explain,
        #[OA\Property(description: 'weight before any evidence, decibans')]
        public float $start,
        #[OA\Property(items: new OA\Items(ref: LedgerLineView::class))]
        public array $for,
        #[OA\Property(items: new OA\Items(ref: LedgerLineView::class))]
        public array $against,
        #[OA\Property(description: 'lines below half a deciban')]
        public int $silent,
        #[OA\Property(description: 'all lines together, silent ones included')]
        public float $evidence,
        #[OA\Property]
        public float $total,
    ) {
    }
}
