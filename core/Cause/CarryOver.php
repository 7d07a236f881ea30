<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Knowledge\Cause;

/**
 * What went from one failure into the next: a component that was carried into each repeated failure is suspect, one that was
 * new in each is cleared; one that was new in a run without trouble is suspect, one that ran there too is cleared by half as much,
 * for a fault need not show in every run. [own, on the methods of agreement and difference, Mill 1843, from memory].
 */
final readonly class CarryOver
{
    /** What one repeated failure weighs, and one run without trouble, in decibans; all of them at most. */
    public const PER_FAILURE = 9.0;
    public const PER_RUN = 4.5;
    public const MOST = 15.0;

    /**
     * @param array<string, array{int, int, int, int}> $counts by component: carried and new into repeated failures, carried and new
     *                                                         into runs without trouble
     */
    public function __construct(public array $counts = [])
    {
    }

    /** What it weighs for a cause, in decibans: by the most suspect of the components that it can reside in. */
    public function decibans(Cause $cause): float
    {
        $component = $this->component($cause);

        return $component === null ? 0.0 : self::weight(...$this->counts[$component]);
    }

    /** The component of a cause that weighs; null where nothing is known of any. */
    public function component(Cause $cause): ?string
    {
        $most = null;
        foreach ($cause->residesIn as $component) {
            $counts = $this->counts[$component] ?? null;
            if ($counts !== null && ($most === null || self::weight(...$counts) > self::weight(...$this->counts[$most]))) {
                $most = $component;
            }
        }

        return $most;
    }

    private static function weight(int $carried, int $new, int $carriedInRuns, int $newInRuns): float
    {
        $weight = self::PER_FAILURE * ($carried - $new) + self::PER_RUN * ($newInRuns - $carriedInRuns);

        return max(-self::MOST, min(self::MOST, $weight));
    }
}
