<?php

declare(strict_types=1);

namespace MuteTapper\Core\Timeline;

use MuteTapper\Core\Engine\DriveKind;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;

/** What can go from one build into the next. */
enum Component: string
{
    case Block = 'block';
    case Head = 'head';
    case Cam = 'cam';
    case Followers = 'followers';
    case Pushrods = 'pushrods';
    case Rockers = 'rockers';
    case Springs = 'springs';
    case Retainers = 'retainers';
    case Locks = 'locks';
    case Valves = 'valves';
    case Guides = 'guides';
    case Pistons = 'pistons';
    case TimingDrive = 'timing_drive';
    case Oil = 'oil';
    case Tune = 'tune';

    public function label(Engine $engine): string
    {
        return match ($this) {
            self::Followers => Part::Follower->label($engine).'s',
            self::Rockers => $engine->drive === DriveKind::Finger ? 'fingers' : 'rockers and shafts',
            self::TimingDrive => 'timing drive',
            self::Tune => 'tune and limiter',
            default => $this->value,
        };
    }

    /** What a part goes with from build to build; null where nothing is said of it. */
    public static function ofPart(Part $part): ?self
    {
        return match ($part) {
            Part::Chamber => self::Head,
            Part::Lobe => self::Cam,
            Part::Follower => self::Followers,
            Part::Pushrod => self::Pushrods,
            Part::Rocker => self::Rockers,
            Part::Spring => self::Springs,
            Part::Retainer => self::Retainers,
            Part::Locks => self::Locks,
            Part::Valve => self::Valves,
            Part::Guide => self::Guides,
            Part::Piston, Part::PistonRelief => self::Pistons,
            Part::Timing => self::TimingDrive,
            default => null,
        };
    }

    /** @return list<self> */
    public static function of(Engine $engine): array
    {
        return array_values(array_filter(self::cases(), static fn (self $component): bool => match ($component) {
            self::Pushrods => $engine->drive === DriveKind::Pushrod,
            self::Rockers => $engine->drive !== DriveKind::Bucket,
            default => true,
        }));
    }
}
