<?php

declare(strict_types=1);

namespace MuteTapper\Core\Remedy;

/** One of several ways in which an adjustment is made, that do not do the same to the engine. */
final readonly class AdjustmentKind
{
    /** @param string $drawback what it brings with it that no margin shows; empty where nothing is known of it */
    public function __construct(public string $code, public string $label, public string $drawback = '')
    {
    }
}
