<?php

declare(strict_types=1);

namespace MuteTapper\App\RunLog;

use MuteTapper\Core\RunLog\Channel;
use OpenApi\Attributes as OA;

/** The highest value of a channel, and when. */
#[OA\Schema]
final readonly class PeakView
{
    public function __construct(
        public Channel $channel,
        public string $label,
        public string $unit,
        public float $value,
        public float $time,
        public float $speed,
    ) {
    }
}
