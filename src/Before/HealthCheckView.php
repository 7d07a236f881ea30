<?php

declare(strict_types=1);

namespace MuteTapper\App\Before;

use OpenApi\Attributes as OA;

/** One of the things that must be good before an engine runs again. */
#[OA\Schema]
final readonly class HealthCheckView
{
    /**
     * @param bool|null $isGood null where it cannot be told
     * @param list<string> $bad what is not, and where
     * @param list<string> $doubtful what a measurement cannot decide, and where
     * @param list<string> $near what is near its limit, and where
     */
    public function __construct(
        public string $name,
        public ?bool $isGood,
        public array $bad,
        public array $doubtful,
        public array $near,
        public int $measured,
    ) {
    }
}
