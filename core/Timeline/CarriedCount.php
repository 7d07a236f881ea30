<?php

declare(strict_types=1);

namespace MuteTapper\Core\Timeline;

/** How often a component went carried, and how often new, into failures that came again and into runs without trouble. */
final readonly class CarriedCount
{
    private function __construct(public int $carried, public int $new, public int $carriedInRuns, public int $newInRuns)
    {
    }

    /**
     * @param array<string, PartState> $failures
     * @param array<string, PartState> $runs
     */
    public static function of(array $failures, array $runs): self
    {
        $count = static fn (array $states, PartState $state): int => count(array_keys($states, $state, true));

        return new self(
            $count($failures, PartState::Carried), $count($failures, PartState::New), $count($runs, PartState::Carried),
            $count($runs, PartState::New),
        );
    }

    public function isNothing(): bool
    {
        return $this->carried + $this->new + $this->carriedInRuns + $this->newInRuns === 0;
    }

    /** @return array{int, int, int, int} carried and new into failures, carried and new into runs without trouble */
    public function toArray(): array
    {
        return [$this->carried, $this->new, $this->carriedInRuns, $this->newInRuns];
    }
}
