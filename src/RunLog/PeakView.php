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
        #[OA\Property(type: 'string', enum: Channel::class)]
        public Channel $channel,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $unit,
        #[OA\Property]
        public float $value,
        #[OA\Property]
        public float $time,
        #[OA\Property]
        public float $speed,
    ) {
    }
}
