<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use OpenApi\Attributes as OA;

/** A row of a sheet: a place, or a part of the index. */
#[OA\Schema]
final readonly class SheetRowView
{
    /**
     * @param string $part the part of the index that the row stands for; empty where it stands for its place
     * @param string $label what it is called, short as on a tag
     * @param string $name what it is called in messages and for the ear
     */
    public function __construct(
        public string $key,
        public string $place,
        public string $part,
        public string $label,
        public string $name,
        public bool $isStation,
    ) {
    }
}
