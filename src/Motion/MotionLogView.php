<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use MuteTapper\App\RunLog\PeakView;
use OpenApi\Attributes as OA;

/** What the logs of a case asked of the valves: seconds at each speed over all of them, and the peaks of each. */
#[OA\Schema]
final readonly class MotionLogView
{
    /**
     * @param list<string> $files read to their end
     * @param list<string> $unread that are not, or not yet
     * @param list<LoggedBinView> $bins
     * @param list<PeakView> $peaks greatest over all logs
     */
    public function __construct(public array $files, public array $unread, public array $bins, public array $peaks)
    {
    }
}
