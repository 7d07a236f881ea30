<?php

declare(strict_types=1);

namespace MuteTapper\Core\Reassembly;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Verdict\Margin;

/** A line at one place: what a person did with it, what was read, and what it stands against. */
final readonly class PlanPlace
{
    /**
     * @param string $code under which its record stands there
     * @param string|null $index of one of several cams, which
     * @param Given|null $planned what it should be, where that is known
     * @param Given|null $built what was read of it for the rebuild
     * @param Margin|null $margin of what was read against its window, or of what follows from it against its limit
     * @param list<string> $unmet labels of lines that belong before it and are open, or were ticked after it
     */
    public function __construct(
        public string $place,
        public string $code,
        public ?string $index,
        public ?LineRecord $record,
        public ?string $by,
        public ?\DateTimeImmutable $at,
        public ?Given $planned,
        public ?Given $built,
        public ?Margin $margin,
        public array $unmet,
    ) {
    }

    /** A line cannot be ticked while its value is out of range. */
    public function isOut(): bool
    {
        return $this->margin?->isOutside() === true;
    }
}
