<?php

declare(strict_types=1);

namespace MuteTapper\App\Reassembly;

use OpenApi\Attributes as OA;

/** How the engine came back, and how the shop's calls held. */
#[OA\Schema]
final readonly class AfterwardsView
{
    /** @param list<ReturnView> $returns the last first */
    public function __construct(public array $returns, public CallRecordView $record)
    {
    }
}
