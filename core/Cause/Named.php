<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** What a ranking names. */
final readonly class Named
{
    /**
     * @param list<PlacedCause> $leading the named explanation; with an open second its first cause alone
     * @param list<PlacedCause> $open causes between which it is open: instead of a leader, or for the second
     * @param list<PlacedCause> $hearsay causes of the explanation that rest on what was told alone: remarks, not names
     */
    public function __construct(public Standing $standing, public array $leading, public array $open, public array $hearsay)
    {
    }

    /** @return list<PlacedCause> what is named first: the leader, or the first of those that it is open between */
    public function first(): array
    {
        return $this->leading === [] ? array_slice($this->open, 0, 1) : $this->leading;
    }
}
