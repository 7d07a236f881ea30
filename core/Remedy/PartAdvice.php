<?php

declare(strict_types=1);

namespace MuteTapper\Core\Remedy;

use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Timeline\RunUnit;

/** What the rules and measurements say of a part at a place, and what a person decided. At the engine: of all that are not named apart. */
final readonly class PartAdvice
{
    /**
     * @param list<string> $reasons the rule or measurement behind it
     * @param list<string> $places stations for which it stands
     * @param float|null $left what is left of its life, where a clock runs
     */
    public function __construct(
        public Part $part,
        public string $place,
        public ReuseDecision $advised,
        public array $reasons,
        public array $places,
        public ?float $left,
        public RunUnit $unit,
        public ?Reuse $decided,
    ) {
    }

    public function isOfAllOthers(): bool
    {
        return $this->place === Place::ENGINE && $this->places !== [Place::ENGINE];
    }

    /** What becomes of it: as decided, else as advised. */
    public function decision(): ReuseDecision
    {
        return $this->decided->decision ?? $this->advised;
    }
}
