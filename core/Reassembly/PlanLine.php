<?php

declare(strict_types=1);

namespace MuteTapper\Core\Reassembly;

use MuteTapper\Core\Knowledge\AssemblyLine;

/** A line of the plan of one engine, with its places. A joint has a line for each of its passes. */
final readonly class PlanLine
{
    /**
     * @param string $code of the record of the line
     * @param list<PlanPlace> $places
     * @param string $pass what is given in this pass; empty where nothing is tightened
     * @param Joint|null $wanting a joint of which nobody entered the maker's figures
     */
    public function __construct(
        public int $number,
        public string $code,
        public AssemblyLine $line,
        public array $places,
        public string $pass = '',
        public ?Joint $wanting = null,
    ) {
    }

    public function label(): string
    {
        return $this->line->label.($this->pass === '' ? '' : ', '.$this->pass);
    }

    /** @return list<PlanPlace> */
    public function open(): array
    {
        return array_values(array_filter($this->places, static fn (PlanPlace $place): bool => $place->record === null));
    }
}
