<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use MuteTapper\App\Sheet\MarginView;
use OpenApi\Attributes as OA;

/** What more spring, or less, is paid with: as found, and as tried. */
#[OA\Schema]
final readonly class WeighedView
{
    public function __construct(public string $name, public MarginView $found, public ?MarginView $tried)
    {
    }
}
