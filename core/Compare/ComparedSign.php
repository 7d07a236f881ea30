<?php

declare(strict_types=1);

namespace MuteTapper\Core\Compare;

use MuteTapper\Core\Entry\Severity;

/** A sign that one of two groups shows and the other does not, or much less. */
final readonly class ComparedSign
{
    /**
     * @param Severity|null $one worst of the first group; null where nobody looked
     * @param Severity|null $other worst of the second
     */
    public function __construct(
        public string $sign, public string $name, public string $part, public ?Severity $one, public ?Severity $other,
    ) {
    }

    public function steps(): int
    {
        return abs(($this->one->value ?? 0) - ($this->other->value ?? 0));
    }
}
