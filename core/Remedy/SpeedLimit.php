<?php

declare(strict_types=1);

namespace MuteTapper\Core\Remedy;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Sheet\Bench;

/**
 * How fast an engine may turn while its springs are weaker than they were found: reduced to run in a cam, or until others come. It is
 * where the first valve would float as early as it can, by the motion where that is worked out, else by its quasi-static bound.
 */
final readonly class SpeedLimit
{
    private const SEAT = 'valve_seat_load';
    private const OPEN = 'valve_open_load';
    private const LIFT = 'net_lift';
    /** To the next ten turns below. */
    private const STEP = 10.0;
    private const FLOAT = 'float_speed';
    private const BOUND = 'speed_bound';

    private function __construct(public Quantity $speed, public string $place, public bool $isBound)
    {
    }

    /** Null where no spring is weaker than it was, or nothing tells where a valve would float. */
    public static function of(Trial $trial): ?self
    {
        $stations = $trial->found->case->engine->sites(Site::Station);
        if (array_filter($stations, static fn (string $place): bool => self::isWeaker($trial, $place)) === []) {
            return null;
        }
        $least = null;
        foreach ($stations as $place) {
            $one = self::at($trial->with, $place, self::FLOAT) ?? self::at($trial->with, $place, self::BOUND);
            if ($one !== null && ($least === null || $one->speed->base < $least->speed->base)) {
                $least = $one;
            }
        }

        return $least;
    }

    public function words(CaseFile $case): string
    {
        $speed = $case->settings->units->show($this->speed, Fineness::Counted);
        $where = $case->engine->placeLabel($this->place) ?? $this->place;

        return $this->isBound
            ? sprintf('well below %s, the quasi-static bound of %s: a train that gives floats sooner', $speed, $where)
            : sprintf('not above %s, where %s may float', $speed, $where);
    }

    /** It presses less on the seat, or at a lift that is the same. */
    private static function isWeaker(Trial $trial, string $place): bool
    {
        return self::change($trial, $place, self::SEAT) < 0.0
            || (self::change($trial, $place, self::OPEN) < 0.0 && self::change($trial, $place, self::LIFT) >= 0.0);
    }

    private static function change(Trial $trial, string $place, string $name): float
    {
        [$before, $after] = [$trial->found->value($place, $name), $trial->with->value($place, $name)];

        return $before instanceof Given && $after instanceof Given ? $after->value->base - $before->value->base : 0.0;
    }

    private static function at(Bench $bench, string $place, string $name): ?self
    {
        $speed = $bench->value($place, $name);
        if (!$speed instanceof Given) {
            return null;
        }
        $least = floor(($speed->value->base - $speed->value->expanded()->base) / self::STEP) * self::STEP;

        return new self(Quantity::base(max(0.0, $least), Dimension::RotationSpeed), $place, $name === self::BOUND);
    }
}
