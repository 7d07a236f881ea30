<?php

declare(strict_types=1);

namespace MuteTapper\Core\Teardown;

/** Where a part can be. */
enum Whereabouts: string
{
    case Tray = 'tray';
    case Sealed = 'sealed';
    case Machinist = 'machinist';
    case Laboratory = 'laboratory';
    case Customer = 'customer';

    public function label(): string
    {
        return match ($this) {
            self::Tray => 'on the tray',
            self::Sealed => 'sealed in a bag',
            self::Machinist => 'with the machinist',
            self::Laboratory => 'at the laboratory',
            self::Customer => 'with the customer',
        };
    }

    public function isOutside(): bool
    {
        return $this !== self::Tray && $this !== self::Sealed;
    }
}
