<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\Cams;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Missing;

/** The piston under a valve, by what the bench knows: how near, where, and which way a wrong phase moves it. */
final readonly class PistonTravel
{
    /** Off the card by less than this the cam stands on its marks, in crank degrees. [practice] */
    private const ON_MARKS = 2.0;

    public function __construct(public Station $station, private Bench $bench)
    {
    }

    /** The room, its level fixed by a measured clearance where there is one. */
    public function room(): PistonRoom|Missing
    {
        $kind = $this->station->kind === ValveKind::Intake ? 'intake' : 'exhaust';
        $place = $this->station->code();
        $figures = $missing = [];
        foreach (['stroke', 'rod_length', 'free_drop', $kind.'_valve_angle', 'ratio', 'lash_of_train', 'card_centre'] as $name) {
            $given = $this->bench->value($place, $name);
            if ($given instanceof Given) {
                $figures[] = $given->value->base;
            } else {
                $missing = [...$missing, ...$given->what];
            }
        }
        $lobe = (new Movement($place, $this->bench))->lobe();
        if ($lobe instanceof Missing) {
            return Missing::of([...$missing, ...$lobe->what], $lobe->because);
        }
        if (count($figures) < 7) {
            return Missing::of($missing);
        }
        [$stroke, $rod, $drop, $lean, $ratio, $lash, $centre] = $figures;
        $offset = $this->bench->value($place, 'pin_offset');
        try {
            $room = PistonRoom::of(
                $lobe, CrankSlider::of($stroke, $rod, $offset instanceof Given ? $offset->value->base : 0.0), $drop, $lean, $ratio, $lash,
                $this->station->kind === ValveKind::Intake ? $centre : -$centre,
            );
        } catch (Contradiction $contradiction) {
            return Missing::because($contradiction->getMessage());
        }
        $measured = $this->measured();

        return $measured === null ? $room : $room->measured($measured->value->base, $this->early());
    }

    /** Clay, or an indicator with light springs: at the phase as it was found. */
    public function measured(): ?Given
    {
        $given = $this->bench->value($this->station->code(), 'piston_to_valve');

        return $given instanceof Given && $given->basis->isMeasured() ? $given : null;
    }

    /** Crank degrees that the cam of this valve was found early; late below nothing, nothing where it was not measured. */
    public function early(): float
    {
        foreach ($this->cams() as $cam => $isExhaustAlone) {
            $phase = $this->bench->value($this->station->code(), 'cam_phase', $cam);
            if ($phase instanceof Given) {
                // Centres of an exhaust cam of its own are counted before top dead centre: more is earlier. All others later.
                return $isExhaustAlone ? $phase->value->base : -$phase->value->base;
            }
        }

        return 0.0;
    }

    /** What a wrong phase does here, in words: nearer or further, by cam and kind. */
    public function sign(): string
    {
        $early = $this->early();
        if (abs($early) <= self::ON_MARKS) {
            return 'The cam stands on its marks, as far as its phase was found: phase moves nothing here.';
        }
        $isNearer = $this->station->kind === ValveKind::Intake ? $early > 0.0 : $early < 0.0;

        return sprintf(
            'Found %.1f crank degrees %s: that brings the %s %s the piston. An early cam brings intakes nearer and frees exhausts; a '.
            'late one the reverse, each cam by itself.',
            abs($early), $early > 0.0 ? 'early' : 'late', $this->station->kind->word(), $isNearer ? 'nearer to' : 'further from',
        );
    }

    /** @return array<string, bool> cams that move this valve, by the index of their phase, and whether it moves exhausts alone */
    private function cams(): array
    {
        $bank = $this->station->cylinder->bank;
        $kind = $this->station->kind->value;
        $cams = [];
        foreach (array_keys(Cams::of($this->bench->case->engine)) as $cam) {
            if (in_array($cam, ['cam', $bank.'-cam', $bank.'-'.$kind], true)) {
                $cams[$cam] = $cam === $bank.'-E';
            }
        }

        return $cams;
    }
}
