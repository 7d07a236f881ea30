<?php

declare(strict_types=1);

namespace MuteTapper\App\Reassembly;

use MuteTapper\App\Sheet\MarginView;
use MuteTapper\Core\Reassembly\LineState;
use OpenApi\Attributes as OA;

/** A line at one place. */
#[OA\Schema]
final readonly class PlanPlaceView
{
    /**
     * @param string $code under which its record stands there
     * @param string $cylinder that it lies in; empty of what is wider
     * @param string $index under which its value is read
     * @param string|null $planned what it should be
     * @param string|null $built what was read
     * @param MarginView|null $margin against its window, or against its limit
     * @param string $follows what is different because of what was read
     * @param string $mend what would bring it where it is planned
     * @param list<string> $unmet lines that belong before it, and are open or came after it
     */
    public function __construct(
        public string $place,
        public string $code,
        public string $label,
        public string $cylinder,
        public string $index,
        public ?LineState $state,
        public string $note,
        public string $choice,
        public ?string $by,
        public ?string $at,
        public ?string $planned,
        public ?string $built,
        public ?MarginView $margin,
        public bool $isOut,
        public string $follows,
        public string $mend,
        public array $unmet,
    ) {
    }
}
