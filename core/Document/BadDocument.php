<?php

declare(strict_types=1);

namespace MuteTapper\Core\Document;

/** A value in a document is missing or not what its place accepts. Carries the JSON pointer of that place. */
final class BadDocument extends \InvalidArgumentException
{
    private function __construct(public readonly string $pointer, public readonly string $reason)
    {
        parent::__construct(($pointer === '' ? 'document' : $pointer).': '.$reason);
    }

    public static function at(string $pointer, string $reason): self
    {
        return new self($pointer, $reason);
    }
}
