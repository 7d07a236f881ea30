<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/**
 * Where a cause or a mechanism is at work: a region of stations, and its cover, the part of the region that it is not
 * contradicted in. Elsewhere: at one station, or in one cylinder, that nobody knows of, among those of the region.
 */
final readonly class Extent
{
    public string $key;

    public function __construct(
        public Scope $scope,
        public StationSet $region,
        public StationSet $cover,
        public bool $isElsewhere = false,
    ) {
        $this->key = $scope->value.$region->key().$cover->key().($isElsewhere ? '?' : '');
    }

    /** Of two members that lead to the same mechanism. Of two that are somewhere unknown, one. */
    public function with(self $other): self
    {
        if ($this->isElsewhere && $other->isElsewhere) {
            return $this->key <= $other->key ? $this : $other;
        }

        return $this->key === $other->key ? $this : new self(
            Scope::together($this->scope, $other->scope), $this->region->or($other->region), $this->cover->or($other->cover),
        );
    }
}
