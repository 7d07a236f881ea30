<?php

declare(strict_types=1);

namespace MuteTapper\Core\Before;

use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\FollowerFace;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Sheet\Sheet;

/** How long the parts have run that wear out by use: the oldest of each, against what their makers give them. */
final class ClockSheet
{
    public const CODE = 'clocks';

    public static function declare(): Sheet
    {
        return new Sheet(
            code: self::CODE,
            title: 'Reuse clocks',
            step: Step::Before,
            what: 'clocks',
            columns: [
                self::clock('spring_hours', Part::Spring, 'hours on the springs', 'springs, hours')->usually(38, Unit::One),
                self::clock('spring_runs', Part::Spring, 'runs on the springs', 'springs, runs')->usually(60, Unit::One),
                self::clock('valve_hours', Part::Valve, 'hours on the valves', 'valves, hours')->usually(55, Unit::One),
                self::clock('lock_hours', Part::Locks, 'hours on the locks', 'locks, hours')->usually(55, Unit::One),
                self::clock('roller_hours', Part::Follower, 'hours on the rollers', 'rollers, hours')->usually(40, Unit::One)
                    ->on(static fn (Engine $engine): bool => $engine->face === FollowerFace::Roller),
            ],
            judged: [
                Judged::of('spring_hours', 'springs, hours'), Judged::of('spring_runs', 'springs, runs'),
                Judged::of('valve_hours', 'valves, hours'), Judged::of('lock_hours', 'locks, hours'),
                Judged::of('roller_hours', 'rollers, hours'),
            ],
            site: Site::Engine,
        );
    }

    private static function clock(string $code, Part $part, string $label, string $head): Column
    {
        return Column::of($code, $part, 0, 20000, Unit::One, $label)->headed($head)->ofEach(Site::Engine)->by('counted');
    }
}
