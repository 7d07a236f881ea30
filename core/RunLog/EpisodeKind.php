<?php

declare(strict_types=1);

namespace MuteTapper\Core\RunLog;

/** What is looked for in a log. */
enum EpisodeKind: string
{
    case OverSpeed = 'over_speed';
    case AtLimiter = 'at_limiter';
    case OilLow = 'oil_low';
    case OilHot = 'oil_hot';

    public function label(): string
    {
        return match ($this) {
            self::OverSpeed => 'over-speed',
            self::AtLimiter => 'at the limiter',
            self::OilLow => 'oil pressure low for its speed',
            self::OilHot => 'oil too hot',
        };
    }

    public function channel(): Channel
    {
        return match ($this) {
            self::OverSpeed, self::AtLimiter => Channel::Speed,
            self::OilLow => Channel::OilPressure,
            self::OilHot => Channel::OilTemperature,
        };
    }
}
