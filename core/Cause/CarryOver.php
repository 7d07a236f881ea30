<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Knowledge\Cause;

/**
 * What went from one failure into the next: a component that was carried into each repeated failure is suspect, one that was
 * new in each is cleared. [own, on the methods of agreement and difference, Mill 1843, from memory].
 */
final readonly class CarryOver
{
    /** What one repeated failure weighs, in decibans, and all of them at most. */
    public const PER_FAILURE = 9.0;
    public const MOST = 15.0;

    /** @param array<string, array{int, int}> $failures repeated failures into which a component went carried, and new, by component */
    public function __construct(public array $failures = [])
    {
    }

    /** What it weighs for a cause, in decibans: by the most suspect of the components that it can reside in. */
    public function decibans(Cause $cause): float
    {
        $component = $this->component($cause);

        return $component === null ? 0.0 : self::weight(...$this->failures[$component]);
    }

    /** The component of a cause that weighs; null where nothing is known of any. */
    public function component(Cause $cause): ?string
    {
        $most = null;
        foreach ($cause->residesIn as $component) {
            $counts = $this->failures[$component] ?? [0, 0];
            if ($counts !== [0, 0] && ($most === null || self::weight(...$counts) > self::weight(...$this->failures[$most]))) {
                $most = $component;
            }
        }

        return $most;
    }

    private static function weight(int $carried, int $new): float
    {
        return max(-self::MOST, min(self::MOST, self::PER_FAILURE * ($carried - $new)));
    }
}
