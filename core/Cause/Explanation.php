<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** One cause, or two that are both needed, each where it explains most; with its share of belief. */
final readonly class Explanation
{
    /** @param non-empty-list<PlacedCause> $members in the order of their codes */
    public function __construct(public array $members, public float $probability)
    {
    }

    /** @return non-empty-list<string> */
    public function causes(): array
    {
        return array_map(static fn (PlacedCause $member): string => $member->cause, $this->members);
    }

    public function holds(string $cause): bool
    {
        foreach ($this->members as $member) {
            if ($member->cause === $cause) {
                return true;
            }
        }

        return false;
    }

    /** Whether any cause is in both. */
    public function sharesWith(self $other): bool
    {
        foreach ($this->members as $member) {
            if ($other->holds($member->cause)) {
                return true;
            }
        }

        return false;
    }
}
