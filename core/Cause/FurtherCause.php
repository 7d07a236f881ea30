<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** A second fault beside the leading explanation: what it gains there, and the sign that it would explain. */
final readonly class FurtherCause
{
    public function __construct(public PlacedCause $placed, public float $gain, public ?string $explains)
    {
    }
}
