<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** What would be likeliest after a result, and how likely. */
final readonly class Outlook
{
    /** @param list<PlacedCause> $members empty where nothing listed would be likeliest */
    public function __construct(public array $members, public float $probability)
    {
    }
}
