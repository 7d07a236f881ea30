<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\DriveKind;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Missing;

/** An intake and an exhaust valve of one cylinder, by what the bench knows: how near their heads come about overlap. */
final readonly class ValveMeeting
{
    public function __construct(private Station $intake, private Station $exhaust, private Bench $bench)
    {
    }

    /** The pair, its level fixed by a measured gap where there is one. */
    public function pair(): ValvePair|Missing
    {
        [$in, $out] = [$this->lift($this->intake), $this->lift($this->exhaust)];
        $figures = $missing = [];
        foreach ([
            [$this->intake->code(), 'valves_apart_shut', null], [$this->intake->code(), 'head_diameter', 'along'],
            [$this->exhaust->code(), 'head_diameter', 'along'], [$this->intake->code(), 'intake_valve_angle', null],
            [$this->exhaust->code(), 'exhaust_valve_angle', null],
        ] as [$place, $name, $index]) {
            $given = $this->bench->value($place, $name, $index);
            $figures[] = $given instanceof Given ? $given->value->base : 0.0;
            $missing = [...$missing, ...($given instanceof Missing ? $given->what : [])];
        }
        if ($in instanceof Missing || $out instanceof Missing || $missing !== []) {
            return Missing::all(Missing::of($missing), $in, $out);
        }
        [$apart, $inAcross, $outAcross, $inLean, $outLean] = $figures;
        $pair = ValvePair::of($in, $out, $apart, [$inAcross, $outAcross], $this->areParallel() ? [0.0, 0.0] : [$inLean, $outLean]);
        $measured = $this->measured();

        return $measured === null
            ? $pair : $pair->measured($measured->value->base, $this->early($this->intake), $this->early($this->exhaust));
    }

    /** In line under one row of rockers both lean the same way, and do not near each other by their lean. [practice] */
    public function areParallel(): bool
    {
        return $this->bench->case->engine->drive === DriveKind::Pushrod;
    }

    public function measured(): ?Given
    {
        $given = $this->bench->value($this->intake->code(), 'valve_to_valve');

        return $given instanceof Given ? $given : null;
    }

    public function early(Station $station): float
    {
        return (new PistonTravel($station, $this->bench))->early();
    }

    private function lift(Station $station): ValveLift|Missing
    {
        return (new PistonTravel($station, $this->bench))->lift();
    }
}
