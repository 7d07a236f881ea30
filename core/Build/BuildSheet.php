<?php

declare(strict_types=1);

namespace MuteTapper\Core\Build;

use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\Sheet;

/** Figures of the build that are stated rather than measured here: the oil's, the pistons', the gasket's. */
final class BuildSheet
{
    private const FOR_MOTION = 'The way of the piston follows from it.';

    public static function declare(): Sheet
    {
        return new Sheet(
            code: 'build',
            title: 'Build as claimed',
            step: Step::Story,
            what: 'figures of the build',
            columns: array_map(static fn (Column $column): Column => $column->ofEach(Site::Engine)->statable(), [
                Column::length('bore', Part::Piston, 1.5, 6.0)->usually(4.0),
                Column::length('stroke', Part::Piston, 1.0, 6.0)->usually(3.5),
                Column::length('rod_length', Part::Piston, 2.5, 10.0)->recordOnly(self::FOR_MOTION)->usually(6.0),
                Column::length('pin_offset', Part::Piston, -0.2, 0.2)->recordOnly(self::FOR_MOTION)->usually(0.02),
                Column::of(
                    'intake_valve_angle', Part::Chamber, 0, 45, Unit::Degree, 'intake valves from the cylinder axis',
                )->by('degree_wheel')->recordOnly(self::FOR_MOTION),
                Column::of(
                    'exhaust_valve_angle', Part::Chamber, 0, 45, Unit::Degree, 'exhaust valves from the cylinder axis',
                )->by('degree_wheel')->recordOnly(self::FOR_MOTION),
                self::oil('oil_viscosity_40', 'oil viscosity at 40 °C', 5, 600, Unit::SquareMillimetrePerSecond),
                self::oil('oil_viscosity_100', 'oil viscosity at 100 °C', 2, 60, Unit::SquareMillimetrePerSecond),
                self::oil('oil_phosphorus', 'phosphorus in the oil', 0, 5000, Unit::PartPerMillion),
                self::oil('oil_zinc', 'zinc in the oil', 0, 5000, Unit::PartPerMillion),
                Column::length('gasket_thickness', Part::Piston, 0.005, 0.2, 'head gasket, compressed')->usually(0.04),
                Column::length('deck_clearance', Part::Piston, -0.1, 0.2, 'piston below the deck at top dead centre')->usually(0.01),
            ]),
            site: Site::Engine,
        );
    }

    private static function oil(string $code, string $label, float $least, float $most, Unit $unit): Column
    {
        return Column::of($code, Part::Oil, $least, $most, $unit, $label)->neverRead()
            ->recordOnly('Off the card or from the laboratory: film and chemistry are told from it.');
    }
}
