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
    /** What wears out by use: part, what is counted, its head, and a usual figure. */
    private const CLOCKS = [
        'spring_hours' => [Part::Spring, 'hours on the springs', 'springs, hours', 38],
        'spring_runs' => [Part::Spring, 'runs on the springs', 'springs, runs', 60],
        'valve_hours' => [Part::Valve, 'hours on the valves', 'valves, hours', 55],
        'valve_runs' => [Part::Valve, 'runs on the valves', 'valves, runs', 90],
        'lock_hours' => [Part::Locks, 'hours on the locks', 'locks, hours', 55],
        'lock_runs' => [Part::Locks, 'runs on the locks', 'locks, runs', 90],
        'roller_hours' => [Part::Follower, 'hours on the rollers', 'rollers, hours', 40],
        'roller_runs' => [Part::Follower, 'runs on the rollers', 'rollers, runs', 65],
    ];

    public static function declare(): Sheet
    {
        return new Sheet(
            code: self::CODE,
            title: 'Reuse clocks',
            step: Step::Before,
            what: 'clocks',
            columns: array_map(self::clock(...), array_keys(self::CLOCKS), self::CLOCKS),
            judged: array_map(
                static fn (string $code, array $clock): Judged => Judged::of($code, $clock[2]), array_keys(self::CLOCKS), self::CLOCKS,
            ),
            site: Site::Engine,
        );
    }

    /** @param array{Part, string, string, int} $clock */
    private static function clock(string $code, array $clock): Column
    {
        [$part, $label, $head, $usual] = $clock;
        $column = Column::of($code, $part, 0, 20000, Unit::One, $label)
            ->headed($head)->ofEach(Site::Engine)->by('counted')->usually($usual, Unit::One);

        return $part === Part::Follower
            ? $column->on(static fn (Engine $engine): bool => $engine->face === FollowerFace::Roller) : $column;
    }
}
