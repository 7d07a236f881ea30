<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

/** Readings that cannot all be right. The message is a sentence for the person who took them. */
final class Contradiction extends \DomainException
{
    public static function because(string $sentence): self
    {
        return new self($sentence);
    }
}
