<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** How far a cause reaches, the narrowest first. */
enum Scope: string
{
    case Station = 'station';
    case Cylinder = 'cylinder';
    case Several = 'several';
    case Kind = 'kind';
    case Bank = 'bank';
    case All = 'all';

    /** Whether it is a matter of single places, not of how the engine is built or run. */
    public function isLocal(): bool
    {
        return $this === self::Station || $this === self::Cylinder || $this === self::Several;
    }

    public function row(): SpreadRow
    {
        return SpreadRow::from($this->value);
    }

    /** Of two regions together. */
    public static function together(self $one, self $other): self
    {
        $order = self::cases();
        $wider = array_search($one, $order, true) < array_search($other, $order, true) ? $other : $one;

        return $one !== $other ? $wider : match ($one) {
            self::Station, self::Cylinder => self::Several,
            self::Kind, self::Bank => self::All,
            default => $one,
        };
    }
}
