<?php

declare(strict_types=1);

namespace MuteTapper\App\Remedy;

use MuteTapper\Core\Remedy\RemedyKind;
use OpenApi\Attributes as OA;

/** One remedy, and what comes of it over the whole engine. */
#[OA\Schema]
final readonly class RemedyView
{
    /**
     * @param string $letter by which it is called on the board
     * @param list<ChangeLineView> $changes
     * @param list<string> $better
     * @param list<string> $worse
     * @param list<string> $outside what is still past its limit
     * @param list<string> $again what must be measured again
     * @param list<string> $lasting what can no longer be fitted afterwards, and what that risks
     * @param string $speedLimit how fast the engine may turn where its springs are weaker for it; empty where they are not
     * @param string|null $unreadable why its changes cannot be laid on this engine, where they cannot
     */
    public function __construct(
        public string $id,
        public string $letter,
        public string $name,
        public string $words,
        public RemedyKind $kind,
        public string $kindWords,
        public ?float $hours,
        public ?int $waitDays,
        public string $until,
        public string $tellTales,
        public bool $isTaken,
        public array $changes,
        public array $better,
        public array $worse,
        public array $outside,
        public array $again,
        public array $lasting,
        public string $speedLimit,
        public ?string $unreadable,
    ) {
    }
}
