<?php

declare(strict_types=1);

namespace MuteTapper\Core\Valve;

use MuteTapper\Core\Calculation\OfSet;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\From;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;

/** Gas against the seat: what boost, or back pressure, leaves of the load that holds a valve shut. */
final class HeldShutSheet
{
    public static function declare(): Sheet
    {
        return new Sheet(
            code: 'held_shut',
            title: 'Gas and seat',
            step: Step::Bench,
            what: 'valves held shut',
            columns: [
                Column::of('port_pressure', Part::Port, 0, 150, Unit::PoundPerSquareInch, 'boost, or back pressure, at its peak')
                    ->neverRead()->statable()->usually(22, Unit::PoundPerSquareInch),
            ],
            values: self::values(),
            judged: [Judged::of('seat_load_left', 'seat load left')->restsOn('seat_load')],
            also: ['contact_outside'],
        );
    }

    /** @return list<Value> */
    private static function values(): array
    {
        $seat = [
            'cylinder_pressure' => From::value('closed_cylinder_pressure'), 'seat_diameter' => From::value('contact_outside'),
            'stem_diameter' => From::value('stem_middle'),
        ];
        $load = ['seat_load' => From::value('valve_seat_load')];

        return [
            Value::named(
                'closed_cylinder_pressure', 'pressure in the cylinder behind a closed valve', Dimension::GaugePressure, Site::Engine,
            )
                ->by(Way::usual(0, Unit::PoundPerSquareInch, 'as in the crankcase, the worst that a closed valve meets')),
            Value::named('seating_inertia', 'inertia share at seating', Dimension::Force, Site::Engine)
                ->by(Way::usual(0, Unit::PoundForce, 'not known, taken as nothing')),
            Value::named('stem_middle', 'middle value of the stem', Dimension::Length)->by(Way::derived(
                OfSet::middle('stem-middle', 'Middle value of a stem', 'diameters', 'diameters along the stem', Dimension::Length),
                ['diameters' => From::every('stem_diameter')],
            )),
            Value::named('gas_force', 'gas force that opens the valve', Dimension::Force)->headed('gas force')->by(
                Way::derived(GasCalculations::force(), ['port_pressure' => From::value('port_pressure')] + $seat),
            ),
            Value::named('seat_load_left', 'seat load left under gas', Dimension::Force)->by(
                Way::derived(
                    GasCalculations::seatLoadLeft(),
                    $load + ['gas_force' => From::value('gas_force'), 'inertia' => From::value('seating_inertia')],
                ),
            ),
            Value::named('emptying_pressure', 'port pressure that empties the seat load', Dimension::GaugePressure)->headed('empty at')
                ->by(Way::derived(GasCalculations::emptyingPressure(), $load + $seat)),
        ];
    }
}
