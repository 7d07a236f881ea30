<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

/** One valve with everything that drives and guides it. */
final readonly class Station
{
    public function __construct(public Cylinder $cylinder, public ValveKind $kind, public int $ordinal, private bool $onlyOneOfKind)
    {
    }

    /** Stable identity, for example `B1-E1`: bank, position from the front, kind, ordinal from the front. */
    public function code(): string
    {
        return $this->cylinder->code().'-'.$this->kind->value.$this->ordinal;
    }

    /** What people call it, from the maker's numbering: `7E`, `4E1`. */
    public function label(): string
    {
        return $this->cylinder->number.$this->kind->value.($this->onlyOneOfKind ? '' : (string) $this->ordinal);
    }
}
