<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

/** Which values stand beside each other as one set. */
final readonly class Peers
{
    private function __construct(
        public bool $byKind,
        public bool $elseAll,
        public int $least,
        public bool $atOneHeight = false,
        public bool $isOnePopulation = false,
    ) {
    }

    /** Valves of one kind, where at least so many were read. */
    public static function ofKind(int $least): self
    {
        return new self(true, false, $least);
    }

    /** Valves of one kind where each kind has at least so many, else all of the engine. */
    public static function ofKindElseAll(int $least): self
    {
        return new self(true, true, $least);
    }

    /** All sites of the engine. */
    public static function ofAll(int $least): self
    {
        return new self(false, false, $least);
    }

    /** Only those taken at the same test height. */
    public function atOneHeight(): self
    {
        return new self($this->byKind, $this->elseAll, $this->least, true, $this->isOnePopulation);
    }

    /** Where they fall into two groups, nothing can be told by their middle. */
    public function ofOnePopulation(): self
    {
        return new self($this->byKind, $this->elseAll, $this->least, $this->atOneHeight, true);
    }
}
