<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** The causes ranked on the evidence of a case. Probabilities keep evidence in order; they are not frequencies of failure. */
final readonly class Ranking
{
    /**
     * @param list<RankedCause> $causes most probable first
     * @param list<string> $leading the named explanation, or the causes it is open between
     * @param list<array{causes: list<string>, probability: float}> $explanations reduced explanations, most probable first
     * @param array<string, float> $mechanisms events with their probability, most probable first
     * @param list<string> $established events that are established whichever of their roots it was
     * @param array<string, string> $excluded causes that the build rules out, with the flag
     * @param list<string> $unexplainedSigns signs present that the leading explanation leaves as they are
     */
    public function __construct(
        public array $causes,
        public Standing $standing,
        public array $leading,
        public array $explanations,
        public float $unexplained,
        public array $mechanisms,
        public array $established,
        public array $excluded,
        public array $unexplainedSigns,
    ) {
    }
}
