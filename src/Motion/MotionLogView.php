<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use MuteTapper\App\RunLog\PeakView;
use OpenApi\Attributes as OA;

/** What the logs of a case asked of a valve: seconds at each speed over all of them, the peaks of each, and the course of each. */
#[OA\Schema]
final readonly class MotionLogView
{
    /**
     * @param list<string> $files read to their end
     * @param list<string> $unread that are not, or not yet
     * @param list<LoggedBinView> $bins
     * @param list<PeakView> $peaks greatest over all logs
     * @param list<LogTraceView> $traces
     */
    public function __construct(
        public array $files,
        public array $unread,
        public array $bins,
        public array $peaks,
        public array $traces,
        public string $unitForce,
    ) {
    }
}
