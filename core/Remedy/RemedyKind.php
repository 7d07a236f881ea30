<?php

declare(strict_types=1);

namespace MuteTapper\Core\Remedy;

/** What a remedy is worth. */
enum RemedyKind: string
{
    /** It removes what failed. */
    case Cure = 'cure';
    /** It may remove it; nobody has tried. */
    case Trial = 'trial';
    /** It keeps the damage from spreading, or the engine below where it fails. What failed stays. */
    case Containment = 'containment';

    public function words(): string
    {
        return match ($this) {
            self::Cure => 'cure',
            self::Trial => 'trial, not tried yet',
            self::Containment => 'holds, does not cure',
        };
    }
}
