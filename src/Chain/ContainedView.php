<?php

declare(strict_types=1);

namespace MuteTapper\App\Chain;

use OpenApi\Attributes as OA;

/** What commonly keeps a mechanism from doing further damage; its cause stays. */
#[OA\Schema]
final readonly class ContainedView
{
    public function __construct(public string $event, public string $label, public string $words)
    {
    }
}
