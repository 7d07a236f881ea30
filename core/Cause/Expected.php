<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** Where the marks of a parent at work somewhere are expected. */
final readonly class Expected
{
    public string $key;

    /** @param StationSet $suspected stations of its region where any of its signs is marked, and those reported failed */
    public function __construct(public Extent $extent, public SpreadRow $row, public StationSet $suspected)
    {
        $this->key = $row->value.$extent->key.$suspected->key();
    }
}
