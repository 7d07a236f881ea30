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
        #[OA\Property(type: 'string', enum: EpisodeKind::class)]
        public EpisodeKind $kind,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $unit,
        #[OA\Property(description: 'seconds')]
        public float $from,
        #[OA\Property]
        public float $seconds,
        #[OA\Property]
        public float $worst,
        #[OA\Property(description: 'turns a minute at the worst')]
        public float $speed,
    ) {
    }
}
