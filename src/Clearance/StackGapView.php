<?php

declare(strict_types=1);

namespace MuteTapper\App\Clearance;

use MuteTapper\App\Sheet\MarginView;
use OpenApi\Attributes as OA;

/** What remains in a stack at full lift: as found, and as it would be with what is tried. */
#[OA\Schema]
final readonly class StackGapView
{
    public function __construct(public string $name, public MarginView $found, public ?MarginView $tried)
    {
    }
}
