<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

use MuteTapper\Core\Quantity\Uncertain;

/** A value handed to a calculation: where it came from in words, what it rests on, and how it was computed if it was. */
final readonly class Given
{
    /** @param string|null $doubt why nothing can be told by it, however exact it is */
    public function __construct(
        public Uncertain $value,
        public string $origin,
        public Basis $basis = Basis::Read,
        public ?string $doubt = null,
        public ?Trace $trace = null,
    ) {
    }

    public function doubted(?string $why): self
    {
        return $why === null ? $this : new self($this->value, $this->origin, $this->basis, $why, $this->trace);
    }
}
