<?php

declare(strict_types=1);

namespace MuteTapper\Core\Assessment;

use MuteTapper\Core\Before\CamSheet;
use MuteTapper\Core\Before\CylinderSheet;
use MuteTapper\Core\Before\EngineTestSheet;
use MuteTapper\Core\Before\PullSheet;
use MuteTapper\Core\Build\BuildSheet;
use MuteTapper\Core\Guide\GuideSheet;
use MuteTapper\Core\Head\HeightsSheet;
use MuteTapper\Core\Sheet\Sheets;
use MuteTapper\Core\Spring\SpringSheet;

/** The sheets that there are, in the order in which they are offered. */
final class AllSheets
{
    private static ?Sheets $sheets = null;

    public static function get(): Sheets
    {
        return self::$sheets ??= Sheets::of(
            BuildSheet::declare(),
            CylinderSheet::declare(),
            PullSheet::declare(),
            CamSheet::declare(),
            EngineTestSheet::declare(),
            SpringSheet::declare(),
            HeightsSheet::declare(),
            GuideSheet::declare(),
        );
    }
}
