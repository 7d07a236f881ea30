<?php

declare(strict_types=1);

namespace MuteTapper\App\Clearance;

use MuteTapper\App\Shared\QuantityView;
use OpenApi\Attributes as OA;

/** What a valve lifts, against the lift at which each limit is met. */
#[OA\Schema]
final readonly class LiftLadderView
{
    /**
     * @param float|null $at what it lifts, in the unit of the case
     * @param float|null $half its expanded uncertainty, likewise
     * @param list<LiftLimitView> $limits the lowest first
     * @param LiftLimitView|null $tried the lowest with what is tried
     * @param list<string> $missing what is to be measured before it is known
     */
    public function __construct(
        public ?float $at,
        public ?float $half,
        public ?QuantityView $lift,
        public array $limits,
        public ?LiftLimitView $tried,
        public string $unit,
        public array $missing,
        public string $sentence,
    ) {
    }
}
