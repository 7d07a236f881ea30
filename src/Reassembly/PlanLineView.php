<?php

declare(strict_types=1);

namespace MuteTapper\App\Reassembly;

use MuteTapper\Core\Reassembly\Joint;
use OpenApi\Attributes as OA;

/** A line of the plan, with its places. */
#[OA\Schema]
final readonly class PlanLineView
{
    /**
     * @param string $risk what it risks to make it before what belongs before it
     * @param string|null $reads column that is read here
     * @param string|null $part of that column
     * @param string $unit in which it is read
     * @param list<string> $choices schools, where practitioners disagree
     * @param Joint|null $wanting a joint of which nobody entered the maker's figures
     * @param list<PlanPlaceView> $places
     */
    public function __construct(
        public int $number,
        public string $code,
        public string $stage,
        public string $label,
        public string $note,
        public ?string $caution,
        public string $risk,
        public ?string $reads,
        public ?string $part,
        public ?string $gauge,
        public string $unit,
        public array $choices,
        public ?Joint $wanting,
        public array $places,
    ) {
    }
}
