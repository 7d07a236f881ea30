<?php

declare(strict_types=1);

namespace MuteTapper\App\Compare;

use MuteTapper\Core\Compare\Group;
use OpenApi\Attributes as OA;

/** Places that can be held against others. */
#[OA\Schema]
final readonly class GroupView
{
    /** @param list<string> $places stations, or places of springs off the engine */
    private function __construct(public string $code, public string $name, public array $places)
    {
    }

    public static function of(Group $group): self
    {
        return new self($group->code, $group->name, $group->places);
    }
}
