<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Engine\Cams;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Engine\Engine;

/** One part of an index: what a place has several of. */
enum Axis: string
{
    /** The day of an earlier sheet; left out on the sheet of this case. */
    case Date = 'date';
    case Coil = 'coil';
    /** Along a stem or guide, from the spring side down. */
    case Depth = 'depth';
    /** Along the crankshaft, and across it. */
    case Direction = 'direction';
    case Cam = 'cam';
    case Warmth = 'warmth';
    /** One of several readings of one thing. */
    case Number = 'number';

    /** The most readings of one thing that a sheet offers. */
    public const USUAL_NUMBER = 3;

    /**
     * Its parts on an engine, in order. Of dates there are none beforehand.
     *
     * @return list<string>
     */
    public function keys(Engine $engine): array
    {
        return match ($this) {
            self::Date => [],
            self::Coil => array_map(static fn (Coil $coil): string => $coil->value, Coil::cases()),
            self::Depth => ['top', 'middle', 'bottom'],
            self::Direction => ['along', 'across'],
            self::Cam => array_map(strval(...), array_keys(Cams::of($engine))),
            self::Warmth => ['cold', 'hot'],
            self::Number => array_map(strval(...), range(1, self::USUAL_NUMBER)),
        };
    }

    /** Whether an index may leave it out. */
    public function isOptional(): bool
    {
        return $this === self::Date;
    }

    public function accepts(string $key, Engine $engine): bool
    {
        return match ($this) {
            self::Date => preg_match('/^(\d{4})-(\d{2})-(\d{2})$/', $key, $match) === 1
                && checkdate((int) $match[2], (int) $match[3], (int) $match[1]),
            self::Number => preg_match('/^[1-9]\d?$/', $key) === 1,
            default => in_array($key, $this->keys($engine), true),
        };
    }
}
