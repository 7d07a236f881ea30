<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

/** Intake or exhaust. */
enum ValveKind: string
{
    case Intake = 'I';
    case Exhaust = 'E';

    public function word(): string
    {
        return $this === self::Intake ? 'intake' : 'exhaust';
    }
}
