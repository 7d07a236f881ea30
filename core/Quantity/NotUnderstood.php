<?php

declare(strict_types=1);

namespace MuteTapper\Core\Quantity;

/** What a person typed cannot be taken as it stands. Says what was wrong, what is accepted, and offers readings. */
final class NotUnderstood extends \InvalidArgumentException
{
    /** @param list<string> $offers texts that would be accepted in its place, the likeliest first */
    private function __construct(
        public readonly string $typed,
        public readonly string $reason,
        public readonly string $accepted,
        public readonly array $offers,
    ) {
        parent::__construct($reason.($accepted === '' ? '' : ' Accepted: '.$accepted.'.'));
    }

    /** @param list<string> $offers */
    public static function because(string $typed, string $reason, string $accepted = '', array $offers = []): self
    {
        return new self($typed, $reason, $accepted, $offers);
    }
}
