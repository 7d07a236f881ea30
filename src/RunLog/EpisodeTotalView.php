<?php

declare(strict_types=1);

namespace MuteTapper\App\RunLog;

use MuteTapper\Core\RunLog\EpisodeKind;
use OpenApi\Attributes as OA;

/** How often and how long something was past its threshold. */
#[OA\Schema]
final readonly class EpisodeTotalView
{
    public function __construct(
        public EpisodeKind $kind,
        public string $label,
        public int $count,
        public float $seconds,
    ) {
    }
}
