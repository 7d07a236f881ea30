<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

/** A part of the build as claimed, stated in words: what was fitted, by its number or description. */
enum BuildPart: string
{
    case Springs = 'springs';
    case Retainers = 'retainers';
    case Locks = 'locks';
    case Valves = 'valves';
    case Guides = 'guides';
    case Seals = 'seals';
    case Seats = 'seats';
    case Followers = 'followers';
    case Pushrods = 'pushrods';
    case Rockers = 'rockers';
    case CamCard = 'cam_card';
    case Lash = 'lash_setting';
    case Pistons = 'pistons';
    case Gasket = 'gasket';
    case Oil = 'oil';

    public function label(Engine $engine): string
    {
        return match ($this) {
            self::CamCard => 'cam and its card',
            self::Lash => 'lash, and how it is set',
            self::Pistons => 'pistons and their reliefs',
            self::Gasket => 'head gasket',
            self::Oil => 'oil: grade and maker’s code',
            self::Followers => Part::Follower->label($engine).'s',
            self::Rockers => $engine->drive === DriveKind::Finger ? 'fingers' : 'rockers',
            self::Locks => 'locks: grooves, angle',
            default => $this->value,
        };
    }

    /** Whether intakes and exhausts are stated apart. */
    public function isByKind(): bool
    {
        return match ($this) {
            self::Springs, self::Retainers, self::Locks, self::Valves, self::Guides, self::Seals, self::Seats => true,
            default => false,
        };
    }

    public function isFittedTo(Engine $engine): bool
    {
        return match ($this) {
            self::Pushrods => $engine->drive === DriveKind::Pushrod,
            self::Rockers => $engine->drive !== DriveKind::Bucket,
            self::Lash => $engine->lash === LashKind::Solid,
            default => true,
        };
    }

    /** @return list<self> */
    public static function of(Engine $engine): array
    {
        return array_values(array_filter(self::cases(), static fn (self $part): bool => $part->isFittedTo($engine)));
    }
}
