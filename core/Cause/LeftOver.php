<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** A sign that an explanation leaves as it is, at all its places or at some. */
final readonly class LeftOver
{
    /** @param list<string> $places where it is left; empty for a sign of the whole engine */
    public function __construct(public string $sign, public bool $isWhole, public array $places)
    {
    }
}
