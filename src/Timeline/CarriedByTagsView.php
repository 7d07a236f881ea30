<?php

declare(strict_types=1);

namespace MuteTapper\App\Timeline;

use MuteTapper\Core\Timeline\PartState;
use OpenApi\Attributes as OA;

/** How a component went into an event, as it follows from the tags of its parts. */
#[OA\Schema]
final readonly class CarriedByTagsView
{
    public function __construct(public string $component, public string $event, public PartState $state)
    {
    }
}
