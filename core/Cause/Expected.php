<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Knowledge\EventMode;

/** Where the marks of a parent at work somewhere are expected. */
final readonly class Expected
{
    public string $key;

    /** @param StationSet $suspected stations of its region where any of its signs is marked, or that were reported failed */
    public function __construct(public Extent $extent, public SpreadRow $row, public StationSet $suspected)
    {
        $this->key = $row->value.$extent->key.$suspected->key();
    }

    /** @param StationSet $suspect where any sign that the parent can leave is marked, and what was reported failed */
    public static function at(Extent $extent, EventMode $mode, StationSet $suspect): self
    {
        return new self($extent, Ratios::row($extent, $mode), $extent->region->and($suspect));
    }
}
