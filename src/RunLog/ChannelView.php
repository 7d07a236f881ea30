<?php

declare(strict_types=1);

namespace MuteTapper\App\RunLog;

use MuteTapper\Core\RunLog\Channel;
use OpenApi\Attributes as OA;

/** What a column of a log can hold, in which units. */
#[OA\Schema]
final readonly class ChannelView
{
    /** @param list<string> $units */
    public function __construct(
        #[OA\Property(type: 'string', enum: Channel::class)]
        public Channel $code,
        #[OA\Property]
        public string $label,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $units,
    ) {
    }
}
