<?php

declare(strict_types=1);

namespace MuteTapper\Core\Schedule;

/** Whom a task waits for once it has begun. */
enum TaskKind: string
{
    case Work = 'work';
    case Laboratory = 'laboratory';
    case Parts = 'parts';
    case Customer = 'customer';

    public function words(): string
    {
        return match ($this) {
            self::Work => 'work here',
            self::Laboratory => 'laboratory',
            self::Parts => 'parts',
            self::Customer => 'customer',
        };
    }
}
