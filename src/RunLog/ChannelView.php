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
        public Channel $code,
        public string $label,
        public array $units,
    ) {
    }
}
