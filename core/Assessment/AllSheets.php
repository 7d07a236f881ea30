<?php

declare(strict_types=1);

namespace MuteTapper\Core\Assessment;

use MuteTapper\Core\Before\CamSheet;
use MuteTapper\Core\Before\ClockSheet;
use MuteTapper\Core\Before\CylinderSheet;
use MuteTapper\Core\Before\EngineTestSheet;
use MuteTapper\Core\Before\PullSheet;
use MuteTapper\Core\Build\BuildSheet;
use MuteTapper\Core\Cam\CardSheet;
use MuteTapper\Core\Cam\LobeSheet;
use MuteTapper\Core\Cam\NoseSheet;
use MuteTapper\Core\Follower\FollowerSheet;
use MuteTapper\Core\Guide\GuideSheet;
use MuteTapper\Core\Guide\SealSheet;
use MuteTapper\Core\Head\HeightSourcesSheet;
use MuteTapper\Core\Head\HeightsSheet;
use MuteTapper\Core\Head\PocketSheet;
use MuteTapper\Core\Motion\MassSheet;
use MuteTapper\Core\Oil\FilmSheet;
use MuteTapper\Core\Piston\ChamberSheet;
use MuteTapper\Core\Piston\PistonSheet;
use MuteTapper\Core\Rocker\RockerSheet;
use MuteTapper\Core\Seat\SeatSheet;
use MuteTapper\Core\Sheet\Sheets;
use MuteTapper\Core\Spring\LooseSpringSheet;
use MuteTapper\Core\Spring\SpringSheet;
use MuteTapper\Core\Spring\WireSheet;
use MuteTapper\Core\Valve\HeldShutSheet;
use MuteTapper\Core\Valve\RetainerSheet;
use MuteTapper\Core\Valve\ValveSheet;

/** The sheets that there are, in the order in which they are offered. */
final class AllSheets
{
    private static ?Sheets $sheets = null;

    public static function get(): Sheets
    {
        return self::$sheets ??= Sheets::of(
            BuildSheet::declare(),
            CardSheet::declare(),
            CylinderSheet::declare(),
            PullSheet::declare(),
            CamSheet::declare(),
            EngineTestSheet::declare(),
            ClockSheet::declare(),
            SpringSheet::declare(),
            LooseSpringSheet::declare(),
            HeightsSheet::declare(),
            HeightSourcesSheet::declare(),
            PocketSheet::declare(),
            WireSheet::declare(),
            ValveSheet::declare(),
            GuideSheet::declare(),
            SealSheet::declare(),
            SeatSheet::declare(),
            RetainerSheet::declare(),
            FollowerSheet::declare(),
            LobeSheet::declare(),
            RockerSheet::declare(),
            NoseSheet::declare(),
            FilmSheet::declare(),
            MassSheet::declare(),
            HeldShutSheet::declare(),
            PistonSheet::declare(),
            ChamberSheet::declare(),
        );
    }
}
