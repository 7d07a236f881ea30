<?php

declare(strict_types=1);

namespace MuteTapper\Core\Verdict;

/** What a value, with its uncertainty, says about a limit. Decision rule after ISO 14253-1 and JCGM 106 [pub]. */
enum Verdict: string
{
    case Inside = 'inside';
    case InsideClose = 'inside_close';
    case CannotTell = 'cannot_tell';
    case OutsideClose = 'outside_close';
    case Outside = 'outside';
    case NotMeasured = 'not_measured';

    /** @param float $good probability of being on the good side */
    public static function of(float $good, bool $withinCaution): self
    {
        return match (true) {
            $good >= 0.975 => $withinCaution ? self::InsideClose : self::Inside,
            $good >= 0.80 => self::InsideClose,
            $good >= 0.20 => self::CannotTell,
            $good >= 0.025 => self::OutsideClose,
            default => self::Outside,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::InsideClose => 'inside, close',
            self::OutsideClose => 'outside, close',
            default => str_replace('_', ' ', $this->value),
        };
    }
}
