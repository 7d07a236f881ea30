<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

/** Which spring of a station: one stands inside the other. */
enum Coil: string
{
    case Outer = 'outer';
    case Inner = 'inner';
    case Damper = 'damper';
    /** Outer and inner together, as many specifications have their load. */
    case Pair = 'pair';

    /** Those that are tested each by itself. */
    public const SINGLE = [self::Outer, self::Inner, self::Damper];
    /** The same by name: a sheet has one page for each. */
    public const PAGES = ['outer', 'inner', 'damper'];

    /** Several of them. */
    public function words(): string
    {
        return match ($this) {
            self::Outer => 'springs', self::Inner => 'inner springs', self::Damper => 'dampers', self::Pair => 'pairs of springs',
        };
    }
}
