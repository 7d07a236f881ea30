<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\App\Sheet\MarginView;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\Cams;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Motion\AboutOverlap;
use MuteTapper\Core\Motion\PistonRoom;
use MuteTapper\Core\Motion\PistonTravel;
use MuteTapper\Core\Motion\ValveMeeting;
use MuteTapper\Core\Motion\ValvePair;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Change;
use MuteTapper\Core\Verdict\Bound;
use MuteTapper\Core\Verdict\Limits;
use MuteTapper\Core\Verdict\Verdict;

/** Puts the piston under the valves of a cylinder into the shape in which it is drawn. */
final readonly class PistonPresenter
{
    private const LIMIT = 'piston_to_valve';
    private const PAIR = 'valve_to_valve';
    private const METAL = 'metal_to_groove';
    /** Crank degrees early and late that a phase is tried to, and the step. */
    private const PHASES = 12.0;
    private const STEP = 0.5;

    /**
     * @param Station $station the chosen one: a phase is tried at its cam
     * @param float $phase that is tried, in crank degrees early
     * @param float $deeper that the reliefs are cut along the cylinder, as tried, in metres
     * @param Bench|null $tried the same bench with what else is tried
     */
    public function __construct(
        private Bench $bench,
        private Limits $limits,
        private Station $station,
        private float $phase,
        private float $deeper,
        private ?Bench $tried,
    ) {
    }

    public function view(): PistonView
    {
        $station = $this->station;
        $growth = $this->bench->value($station->code(), 'growth');
        [$middle, $half] = $growth instanceof Given ? [$growth->value->base, sqrt(3) * $growth->value->standard()] : [0.0, 0.0];

        return new PistonView(
            array_map($this->valve(...), $this->valves($station)), $this->degrees(), $this->phases(), $this->pair($station),
            array_map($this->least(...), $this->bench->case->engine->stations),
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
        $tried = $room instanceof PistonRoom ? $this->triedRoom($station, $room) : null;
        $early = $travel->early();
        $measured = $travel->measured();
        $ruled = $this->bench->margin($station->code(), self::LIMIT)->limit ?? $this->limits->of(self::LIMIT)->ofKind($station->kind);

        return new ValveClearanceView(
            $station->code(), $this->bench->case->engine->placeLabel($station->code()) ?? $station->code(), $station->kind->value,
            $room instanceof PistonRoom ? $this->curve($room, $early) : [],
            $tried === null ? [] : $this->curve($tried, $this->phased($station)),
            $room instanceof PistonRoom ? $this->nearest($room->nearest($early)) : null,
            $tried === null ? null : $this->nearest($tried->nearest($this->phased($station))),
            $room instanceof PistonRoom
                ? array_map(fn (float $phase): float => $this->length($room->nearest($phase)[1]), $this->phases()) : [],
            round($early, 1),
            array_map(fn (Bound $bound): float => $this->length($bound->least->base ?? 0.0), $ruled->schools),
            $ruled->ruling, $measured === null ? null : QuantityView::uncertain($measured->value, $this->bench->case->settings->units),
            $travel->sign(), $this->margin($this->bench, $station, 'radial_room'),
            $this->margin($this->bench, $station, self::METAL),
            $this->deeper > 0.0 ? $this->margin($this->deepened($station), $station, self::METAL) : null,
            $room instanceof PistonRoom ? [] : $room->what, $room instanceof PistonRoom ? null : $room->because,
        );
    }

    /** @return list<float> */
    private function curve(PistonRoom $room, float $early): array
    {
        return array_map(fn (int $degree): float => $this->length($room->at($degree, $early)), $this->degrees());
    }

    /** @param array{float, float} $nearest crank degree, and metres */
    private function nearest(array $nearest): NearestView
    {
        return new NearestView(round($nearest[0], 1), $this->length($nearest[1]));
    }

    private function least(Station $station): StationClearanceView
    {
        $travel = new PistonTravel($station, $this->bench);
        $room = $travel->room();
        $margin = $this->bench->margin($station->code(), self::LIMIT);
        $verdict = $margin?->value() === null ? null : $margin->verdict;

        return new StationClearanceView(
            $station->code(), $station->label(), $room instanceof PistonRoom ? $this->nearest($room->nearest($travel->early())) : null,
            $travel->measured() !== null,
            in_array($verdict, [Verdict::Outside, Verdict::OutsideClose], true), $verdict?->words() ?? '',
        );
    }

    private function pair(Station $station): ?ValvePairView
    {
        $valves = $this->valves($station);
        if (count($valves) < 2) {
            return null;
        }
        usort($valves, static fn (Station $one): int => $one->kind === ValveKind::Intake ? -1 : 1);
        $meeting = new ValveMeeting($valves[0], $valves[1], $this->bench);
        $pair = $meeting->pair();
        [$early, $tried] = [array_map($meeting->early(...), $valves), array_map($this->phased(...), $valves)];
        $curve = fn (ValvePair $of, float $in, float $out): array => array_map(
            fn (int $degree): float => $this->length($of->at($degree, $in, $out)), $this->degrees(),
        );
        $rule = $this->limits->of(self::PAIR);
        $isKnown = $pair instanceof ValvePair;
        $measured = $meeting->measured();

        return new ValvePairView(
            sprintf('%s, %s', $valves[0]->label(), $valves[1]->label()), $isKnown ? $curve($pair, ...$early) : [],
            $isKnown ? $curve($pair, ...$tried) : [], $isKnown ? $this->nearest($pair->nearest(...$early)) : null,
            $isKnown ? $this->nearest($pair->nearest(...$tried)) : null,
            array_map(fn (Bound $bound): float => $this->length($bound->least->base ?? 0.0), $rule->schools), $rule->ruling,
            $measured === null ? null : QuantityView::uncertain($measured->value, $this->bench->case->settings->units),
            $meeting->areParallel(), $isKnown ? [] : $pair->what, $isKnown ? null : $pair->because,
        );
    }

    private function margin(Bench $bench, Station $station, string $quantity): ?MarginView
    {
        $margin = $bench->margin($station->code(), $quantity);

        return $margin === null ? null : MarginView::of($margin, $bench);
    }

    /** What a deeper relief leaves of the metal behind it. */
    private function deepened(Station $station): Bench
    {
        return $this->bench->with(
            Change::none()->adding([$station->code()], self::METAL, Quantity::difference(-$this->deeper, Dimension::Length)),
        );
    }

    /**
     * Clearance at every crank degree, of the valves of the cylinder and between them.
     *
     * @return list<list<string|float>> heads first
     */
    public function table(): array
    {
        $view = $this->view();
        $lines = [['', 'crank degrees after TDC', 'as found, '.$view->unit, 'as tried, '.$view->unit]];
        $pair = $view->pair;
        foreach ([...$view->valves, ...($pair === null ? [] : [$pair])] as $one) {
            foreach ($one->found as $i => $found) {
                $lines[] = [$one->label, (float) $view->degrees[$i], $found, $one->tried[$i]];
            }
        }

        return $lines;
    }

    /** The room with all that is tried, at the level of what was found; where that makes no room, as found. */
    private function triedRoom(Station $station, PistonRoom $found): PistonRoom
    {
        $room = $this->tried === null ? $found : (new PistonTravel($station, $this->tried))->computed();

        return ($room instanceof PistonRoom ? $room->levelledAs($found) : $found)->deepened($this->deeper);
    }

    /** Crank degrees early of a valve’s cam as tried: another cam than that of the chosen valve stays as it was found. */
    private function phased(Station $station): float
    {
        $engine = $this->bench->case->engine;

        return Cams::moving($engine, $station->code()) === Cams::moving($engine, $this->station->code())
            ? $this->phase : (new PistonTravel($station, $this->bench))->early();
    }

    /** @return list<int> */
    private function degrees(): array
    {
        return range(-AboutOverlap::WITHIN, AboutOverlap::WITHIN);
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
