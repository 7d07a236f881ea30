<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** Where one form of a cause leads, at valves of some kinds: strengths by number of the event and of the item. */
final readonly class Wiring
{
    /**
     * @param array<int, float> $events those it brings about itself
     * @param array<int, float> $signs those it leaves itself
     * @param array<int, float> $paths strongest path to each event in its reach
     * @param array<int, int> $ranks rank of each such path: the greater, the more strongly it leads there
     * @param array<int, true> $reach items that it can leave, itself or through events
     * @param StationSet $denied stations where it is contradicted by a sign of its own
     * @param StationSet $suspect stations where anything in its reach is marked, and those reported failed
     * @param array<int, int> $bearings how it bears on each factor that it touches, ascending: the same number for all that would do the
     *                                  same there if they were at work as far
     */
    public function __construct(
        public array $events,
        public array $signs,
        public array $paths,
        public array $ranks,
        public array $reach,
        public StationSet $denied,
        public StationSet $suspect,
        public array $bearings,
    ) {
    }
}
