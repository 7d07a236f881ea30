<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Motion\PistonRoom;
use MuteTapper\Core\Motion\PistonTravel;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Verdict\Bound;
use MuteTapper\Core\Verdict\Limits;

/** Puts the piston under the valves of a cylinder into the shape in which it is drawn. */
final readonly class PistonPresenter
{
    private const LIMIT = 'piston_to_valve';
    /** Crank degrees early and late that a phase is tried to, and the step. */
    private const PHASES = 12.0;
    private const STEP = 0.5;

    /** @param float $phase that is tried, in crank degrees early */
    public function __construct(private Bench $bench, private Limits $limits, private float $phase)
    {
    }

    public function of(Station $station): PistonView
    {
        $growth = $this->bench->value($station->code(), 'growth');
        [$middle, $half] = $growth instanceof Given ? [$growth->value->base, sqrt(3) * $growth->value->standard()] : [0.0, 0.0];

        return new PistonView(
            array_map($this->valve(...), $this->valves($station)), $this->degrees(), $this->phases(),
            $this->length($middle - $half), $this->length($middle + $half),
            $this->bench->case->settings->units->unitOf(Dimension::Length)->symbol(),
        );
    }

    /** @return list<Station> it, and the first of the other kind in its cylinder */
    private function valves(Station $station): array
    {
        foreach ($this->bench->case->engine->stations as $other) {
            if ($other->cylinder->code() === $station->cylinder->code() && $other->kind !== $station->kind) {
                return [$station, $other];
            }
        }

        return [$station];
    }

    private function valve(Station $station): ValveClearanceView
    {
        $travel = new PistonTravel($station, $this->bench);
        $room = $travel->room();
        $early = $travel->early();
        $measured = $travel->measured();
        $ruled = $this->bench->margin($station->code(), self::LIMIT)->limit ?? $this->limits->of(self::LIMIT)->ofKind($station->kind);

        return new ValveClearanceView(
            $station->code(), $this->bench->case->engine->placeLabel($station->code()) ?? $station->code(), $station->kind->value,
            $room instanceof PistonRoom ? $this->curve($room, $early) : [],
            $room instanceof PistonRoom ? $this->curve($room, $this->phase) : [],
            $room instanceof PistonRoom ? $this->nearest($room, $early) : null,
            $room instanceof PistonRoom ? $this->nearest($room, $this->phase) : null,
            $room instanceof PistonRoom
                ? array_map(fn (float $phase): float => $this->length($room->nearest($phase)[1]), $this->phases()) : [],
            round($early, 1),
            array_map(fn (Bound $bound): float => $this->length($bound->least->base ?? 0.0), $ruled->schools),
            $ruled->ruling, $measured === null ? null : QuantityView::uncertain($measured->value, $this->bench->case->settings->units),
            $travel->sign(), $room instanceof PistonRoom ? [] : $room->what, $room instanceof PistonRoom ? null : $room->because,
        );
    }

    /** @return list<float> */
    private function curve(PistonRoom $room, float $early): array
    {
        return array_map(fn (int $degree): float => $this->length($room->at($degree, $early)), $this->degrees());
    }

    private function nearest(PistonRoom $room, float $early): NearestView
    {
        [$degree, $clearance] = $room->nearest($early);

        return new NearestView(round($degree, 1), $this->length($clearance));
    }

    /** @return list<int> */
    private function degrees(): array
    {
        return range(-PistonRoom::WITHIN, PistonRoom::WITHIN);
    }

    /** @return list<float> */
    private function phases(): array
    {
        return range(-self::PHASES, self::PHASES, self::STEP);
    }

    private function length(float $base): float
    {
        return round($base / $this->bench->case->settings->units->unitOf(Dimension::Length)->baseFactor(), 5);
    }
}
