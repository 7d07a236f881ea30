<?php

declare(strict_types=1);

namespace MuteTapper\App\Clearance;

use MuteTapper\App\Shared\QuantityView;
use OpenApi\Attributes as OA;

/** What the springs press with: as found, and with what is tried. */
#[OA\Schema]
final readonly class StackLoadView
{
    public function __construct(public string $name, public string $title, public ?QuantityView $found, public ?QuantityView $tried)
    {
    }
}
