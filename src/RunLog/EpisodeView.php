<?php

declare(strict_types=1);

namespace MuteTapper\App\RunLog;

use MuteTapper\Core\RunLog\EpisodeKind;
use OpenApi\Attributes as OA;

/** A stretch of a log past a threshold. */
#[OA\Schema]
final readonly class EpisodeView
{
    public function __construct(
        public EpisodeKind $kind,
        public string $label,
        public string $unit,
        #[OA\Property(description: 'seconds')]
        public float $from,
        public float $seconds,
        public float $worst,
        #[OA\Property(description: 'turns a minute at the worst')]
        public float $speed,
    ) {
    }
}
