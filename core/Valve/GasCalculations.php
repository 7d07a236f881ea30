<?php

declare(strict_types=1);

namespace MuteTapper\Core\Valve;

use MuteTapper\Core\Calculation\Formula;
use MuteTapper\Core\Calculation\LinearForm;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Quantity\Dimension;

/** Gas against the seat: what boost or back pressure takes off the spring. Pressures are above the crankcase’s. */
final class GasCalculations
{
    /** Force of the gas that opens a closed valve. */
    public static function force(): Formula
    {
        return Formula::of(
            'gas-force', 'Gas force that opens a closed valve', Dimension::Force,
            'port pressure × (seat area − stem area) − cylinder pressure × seat area',
            Source::published('pressure times area; any text'),
            static fn (float $port, float $cylinder, float $seat, float $stem): float => M_PI / 4
                * ($port * ($seat ** 2 - $stem ** 2) - $cylinder * $seat ** 2),
        )
            ->input('port_pressure', 'highest pressure in the port', Dimension::GaugePressure)
            ->input('cylinder_pressure', 'pressure in the cylinder at the same crank angle', Dimension::GaugePressure)
            ->input('seat_diameter', 'diameter that seals', Dimension::Length)
            ->input('stem_diameter', 'diameter of the stem', Dimension::Length);
    }

    /** What of the seat load still holds the valve shut. */
    public static function seatLoadLeft(): LinearForm
    {
        return LinearForm::of(
            'seat-load-left', 'Seat load left', Dimension::Force, 'seat load − gas force − inertia share', Source::practice(),
        )
            ->plus('seat_load', 'seat load at the installed height')->minus('gas_force', 'gas force that opens the valve')
            ->minus('inertia', 'inertia share at seating, 0 where none is known');
    }

    /** Port pressure at which nothing of the seat load is left. */
    public static function emptyingPressure(): Formula
    {
        return Formula::of(
            'seat-emptying-pressure', 'Port pressure that empties the seat load', Dimension::GaugePressure,
            '(seat load + cylinder pressure × seat area) ÷ (seat area − stem area)',
            Source::published('pressure times area; any text'),
            static fn (float $load, float $cylinder, float $seat, float $stem): float => ($load * 4 / M_PI + $cylinder * $seat ** 2)
                / ($seat ** 2 - $stem ** 2),
        )
            ->input('seat_load', 'seat load at the installed height', Dimension::Force)
            ->input('cylinder_pressure', 'pressure in the cylinder at the same crank angle', Dimension::GaugePressure)
            ->input('seat_diameter', 'diameter that seals', Dimension::Length)
            ->input('stem_diameter', 'diameter of the stem', Dimension::Length);
    }
}
