<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

/** A part or region that signs are found on. Parts at a station have a fixed key letter; the others belong to a cylinder or the engine. */
enum Part: string
{
    case Valve = 'valve';
    case Spring = 'spring';
    case Retainer = 'retainer';
    case Locks = 'locks';
    case LashShim = 'lash_shim';
    case LashCap = 'lash_cap';
    case Seal = 'seal';
    case Guide = 'guide';
    case Seat = 'seat';
    case SpringSeat = 'spring_seat';
    case Follower = 'follower';
    case Lobe = 'lobe';
    case Pushrod = 'pushrod';
    case Rocker = 'rocker';
    case PistonRelief = 'piston_relief';
    case Port = 'port';
    case Chamber = 'chamber';
    case Piston = 'piston';
    case Timing = 'timing';
    case Oil = 'oil';
    case Tract = 'tract';
    case Running = 'running';

    public function letter(): string
    {
        return match ($this) {
            self::Valve => 'V', self::Spring => 'S', self::Retainer => 'R', self::Locks => 'L', self::LashShim => 'K', self::LashCap => 'B',
            self::Seal => 'O', self::Guide => 'G', self::Seat => 'T', self::SpringSeat => 'D', self::Follower => 'F', self::Lobe => 'C',
            self::Pushrod => 'U', self::Rocker => 'W', self::PistonRelief => 'P', self::Port => 'X', self::Chamber => 'H',
            self::Piston => 'N', self::Timing => 'M', self::Oil => 'Q', self::Tract => 'A', self::Running => 'Z',
        };
    }

    /** What kind of place the part belongs to. */
    public function site(): Site
    {
        return match ($this) {
            self::Chamber, self::Piston => Site::Cylinder,
            self::Timing, self::Oil, self::Tract, self::Running => Site::Engine,
            default => Site::Station,
        };
    }

    /** Whether it is tested off the engine too, by itself. */
    public function isTestedLoose(): bool
    {
        return $this === self::Spring;
    }

    /** Whether an engine of this description has the part at all. */
    public function isFittedTo(Engine $engine): bool
    {
        return match ($this) {
            self::Pushrod => $engine->drive === DriveKind::Pushrod,
            self::Rocker => $engine->drive !== DriveKind::Bucket,
            self::LashShim => $engine->drive === DriveKind::Bucket && $engine->lash === LashKind::Solid,
            self::LashCap => $engine->drive !== DriveKind::Bucket && $engine->lash === LashKind::Solid,
            default => true,
        };
    }

    public function label(Engine $engine): string
    {
        return match ($this) {
            self::Follower => match ($engine->drive) {
                DriveKind::Pushrod => 'lifter',
                DriveKind::Bucket => 'bucket',
                DriveKind::Finger => 'pivot',
            },
            self::Rocker => $engine->drive === DriveKind::Finger ? 'finger' : 'rocker',
            self::Timing => 'timing drive', self::Oil => 'oil and filter', self::Tract => 'intake and exhaust tract',
            self::Running => 'running symptoms',
            default => str_replace('_', ' ', $this->value),
        };
    }
}
