<?php

declare(strict_types=1);

namespace MuteTapper\App\Compare;

use MuteTapper\Core\Compare\Group;
use MuteTapper\Core\Engine\Station;
use OpenApi\Attributes as OA;

/** Stations that can be held against others. */
#[OA\Schema]
final readonly class GroupView
{
    /** @param list<string> $stations */
    private function __construct(public string $code, public string $name, public array $stations)
    {
    }

    public static function of(Group $group): self
    {
        return new self(
            $group->code, $group->name, array_map(static fn (Station $station): string => $station->code(), $group->stations),
        );
    }
}
