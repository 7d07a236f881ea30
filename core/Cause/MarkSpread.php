<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** How the marks of one mechanism lie: judged once, on all its present signs of one kind of site. */
final readonly class MarkSpread
{
    /**
     * @param non-empty-list<string> $signs
     * @param StationSet $marked stations of all their marks
     * @param StationSet $seen stations at which any of them was looked for
     * @param int $seenCount sites at which any was looked for
     * @param int $siteCount sites of the engine
     * @param list<SpreadClass> $classes what it can be, whatever was not looked at
     * @param float $share of the spread that falls to each of the signs: the more was looked at, the more
     */
    public function __construct(
        public array $signs,
        public StationSet $marked,
        public StationSet $seen,
        public int $seenCount,
        public int $siteCount,
        public array $classes,
        public float $share,
    ) {
    }
}
