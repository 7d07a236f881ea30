<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Given;
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
        $room = $this->computed();
        $measured = $this->measured();

        return $room instanceof Missing || $measured === null ? $room : $room->measured($measured->value->base, $this->early());
    }

    /** The room by lobe, crank and drop alone. */
    public function computed(): PistonRoom|Missing
    {
        $figures = $this->figures(['stroke', 'rod_length', 'pin_offset', 'free_drop', $this->station->kind->word().'_valve_angle']);
        $lift = $this->lift();
        if ($figures instanceof Missing || $lift instanceof Missing) {
            return Missing::all($figures, $lift);
        }
        [$stroke, $rod, $offset, $drop, $lean] = $figures;
        try {
            return PistonRoom::of($lift, CrankSlider::of($stroke, $rod, $offset), $drop, $lean);
        } catch (Contradiction $contradiction) {
            return Missing::because($contradiction->getMessage());
        }
    }

    /** What its lobe asks of the valve, over the crank angle. */
    public function lift(): ValveLift|Missing
    {
        $figures = $this->figures(['ratio', 'lash_of_train', 'card_centre']);
        $lobe = (new Movement($this->station->code(), $this->bench))->lobe();
        if ($figures instanceof Missing || $lobe instanceof Missing) {
            return Missing::all($figures, $lobe);
        }
        [$ratio, $lash, $centre] = $figures;

        return ValveLift::of($lobe, $ratio, $lash, $this->station->kind === ValveKind::Intake ? $centre : -$centre);
    }

    /** Clay, or an indicator with light springs: at the phase as it was found. */
    public function measured(): ?Given
    {
        $given = $this->bench->value($this->station->code(), 'piston_to_valve');

        return $given instanceof Given && $given->trace === null ? $given : null;
    }

    /** Crank degrees that the cam of this valve was found early; late below nothing, nothing where it was not found. */
    public function early(): float
    {
        $early = $this->bench->value($this->station->code(), 'cam_early');

        return $early instanceof Given ? $early->value->base : 0.0;
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

    /**
     * @param list<string> $names
     *
     * @return list<float>|Missing in base units, in this order
     */
    private function figures(array $names): array|Missing
    {
        $figures = $missing = [];
        foreach ($names as $name) {
            $given = $this->bench->value($this->station->code(), $name);
            if ($given instanceof Given) {
                $figures[] = $given->value->base;
            } else {
                $missing = [...$missing, ...$given->what];
            }
        }

        return $missing === [] && count($figures) === count($names) ? $figures : Missing::of($missing);
    }
}
