<?php

declare(strict_types=1);

namespace MuteTapper\Core\Remedy;

/** What becomes of a part, the gentlest first. */
enum ReuseDecision: string
{
    case Keep = 'keep';
    case KeepWithLimit = 'keep_with_limit';
    case Rework = 'rework';
    case Replace = 'replace';

    public function words(): string
    {
        return match ($this) {
            self::Keep => 'keep',
            self::KeepWithLimit => 'keep, with a limit',
            self::Rework => 'rework',
            self::Replace => 'replace',
        };
    }

    public function isHarderThan(self $other): bool
    {
        return array_search($this, self::cases(), true) > array_search($other, self::cases(), true);
    }
}
