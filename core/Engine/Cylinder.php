<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

/** A cylinder by its place, with the number the maker gives it. Position 1 is the front of its bank. */
final readonly class Cylinder
{
    public function __construct(public string $bank, public int $position, public int $number)
    {
    }

    /** Its place code, for example `B1`. Does not change when cylinders are renumbered. */
    public function code(): string
    {
        return $this->bank.$this->position;
    }
}
