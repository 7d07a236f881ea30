<?php

declare(strict_types=1);

namespace MuteTapper\Core\RunLog;

/** A stretch of a log during which something went past its threshold: when, how long, and how far at worst. */
final readonly class Episode
{
    public function __construct(
        public EpisodeKind $kind,
        public float $from,
        public float $seconds,
        public float $worst,
        public float $speedAtWorst,
    ) {
    }
}
