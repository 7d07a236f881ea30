<?php

declare(strict_types=1);

namespace MuteTapper\App\Reassembly;

use OpenApi\Attributes as OA;

/** How the shop's signed calls held, counted. */
#[OA\Schema]
final readonly class CallRecordView
{
    /**
     * @param int $signed cases with a signed call
     * @param int $followed of which the engine came back
     * @param list<SurenessRecordView> $bySureness how sure the caller was, the surest first
     */
    public function __construct(public int $signed, public int $followed, public int $held, public int $failed, public array $bySureness)
    {
    }
}
