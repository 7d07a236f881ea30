<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/**
 * How a spring differs from one that it is held against, by load and rate together: never by load alone. A spring that has set keeps its
 * rate, its line is moved down; one that gives way has lost rate, and loses the more the further it is pressed. [practice].
 */
enum ToldApart: string
{
    case Alike = 'alike';
    case HasSet = 'has_set';
    case GivesWay = 'gives_way';
    case Stiffer = 'stiffer';
    case Stronger = 'stronger';

    /** Rates nearer than this are one rate, in per cent. [own] */
    private const SAME_RATE = 4.0;
    /** Loads nearer than this are one load, in per cent. [own] */
    private const SAME_LOAD = 4.0;

    /**
     * @param Uncertain $rate departure from the other, in per cent
     * @param Uncertain $load likewise, at one height
     */
    public static function by(Uncertain $rate, Uncertain $load): self
    {
        $beyond = static fn (Uncertain $one, float $same): int => abs($one->base) > max($same, $one->expanded()->base)
            ? $one->base <=> 0.0 : 0;

        return match ([$beyond($rate, self::SAME_RATE), $beyond($load, self::SAME_LOAD)]) {
            [-1, -1], [-1, 0], [-1, 1] => self::GivesWay,
            [1, -1], [1, 0], [1, 1] => self::Stiffer,
            [0, -1] => self::HasSet,
            [0, 1] => self::Stronger,
            default => self::Alike,
        };
    }

    /** How far one lies from another, in per cent of the other; what both share in their uncertainty cancels. */
    public static function departure(Uncertain $one, Uncertain $other): Uncertain
    {
        return $one->minus($other)->dividedBy($other, Dimension::Percent)->scaled(100);
    }
}
