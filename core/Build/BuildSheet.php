<?php

declare(strict_types=1);

namespace MuteTapper\Core\Build;

use MuteTapper\Core\Calculation\Basis;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Calculation\LinearForm;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\From;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Slider;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;

/** Figures of the build that are stated rather than measured here: the oil's, the pistons', the gasket's. */
final class BuildSheet
{
    public static function declare(): Sheet
    {
        return new Sheet(
            code: 'build',
            title: 'Build as claimed',
            step: Step::Story,
            what: 'figures of the build',
            columns: array_map(static fn (Column $column): Column => $column->ofEach(Site::Engine)->statable(), [
                Column::length('bore', Part::Piston, 1.5, 6.0)->usually(4.0)
                    ->noEvidence('The compression ratio follows from it, which is set and not a mark.'),
                Column::length('stroke', Part::Piston, 1.0, 6.0)->usually(3.5),
                Column::length('rod_length', Part::Piston, 2.5, 10.0)->usually(6.0),
                Column::length('pin_offset', Part::Piston, -0.2, 0.2)->usually(0.02)
                    ->orElse(Way::usual(0, Unit::Inch, 'taken as none')),
                Column::of(
                    'intake_valve_angle', Part::Chamber, 0, 45, Unit::Degree, 'intake valves from the cylinder axis',
                )->by('degree_wheel'),
                Column::of(
                    'exhaust_valve_angle', Part::Chamber, 0, 45, Unit::Degree, 'exhaust valves from the cylinder axis',
                )->by('degree_wheel'),
                Column::of('oil_viscosity_40', Part::Oil, 5, 600, Unit::SquareMillimetrePerSecond, 'oil viscosity at 40 °C')->neverRead(),
                Column::of('oil_viscosity_100', Part::Oil, 2, 60, Unit::SquareMillimetrePerSecond, 'oil viscosity at 100 °C')->neverRead(),
                Column::of('oil_temperature', Part::Oil, -30, 200, Unit::DegreeCelsius, 'oil at the lobes, hot')->neverRead()
                    ->by('thermometer')->usually(105, Unit::DegreeCelsius),
                Column::of('slow_speed', Part::Running, 300, 8000, Unit::RevolutionPerMinute, 'slow speed that it runs at for long')
                    ->neverRead()->usually(1500, Unit::RevolutionPerMinute),
                Column::of('highest_speed', Part::Running, 500, 30000, Unit::RevolutionPerMinute, 'highest speed it saw, logged or told')
                    ->neverRead()->usually(7400, Unit::RevolutionPerMinute)
                    ->triedOn(Slider::around(2000, 1000, 50, Unit::RevolutionPerMinute))->orElse(Way::fact(
                        static fn (Engine $engine): ?Given => $engine->reachedSpeed === null ? null : new Given(
                            Uncertain::exact(Quantity::of($engine->reachedSpeed, Unit::RevolutionPerMinute)),
                            'highest speed of the engine description', Basis::Claimed,
                        ),
                    )),
                Column::of('oil_phosphorus', Part::Oil, 0, 5000, Unit::PartPerMillion, 'phosphorus in the oil')->neverRead(),
                Column::of('oil_zinc', Part::Oil, 0, 5000, Unit::PartPerMillion, 'zinc in the oil')->neverRead()
                    ->recordOnly('Beside the phosphorus it tells which additive it is; phosphorus is what is judged.'),
                Column::length('gasket_thickness', Part::Piston, 0.005, 0.2, 'head gasket, compressed')->usually(0.04),
                Column::length('deck_clearance', Part::Piston, -0.1, 0.2, 'piston below the deck at top dead centre')->usually(0.01),
            ]),
            values: [
                Value::named('intended_speed', 'speed that it was built for', Dimension::RotationSpeed, Site::Engine)->by(Way::fact(
                    static fn (Engine $engine): ?Given => $engine->intendedSpeed === null ? null : new Given(
                        Uncertain::exact(Quantity::of($engine->intendedSpeed, Unit::RevolutionPerMinute)),
                        'intended speed of the engine description', Basis::Claimed,
                    ),
                )),
                Value::named('speed_over_intended', 'highest speed above the intended', Dimension::RotationSpeed, Site::Engine)->by(
                    Way::derived(
                        LinearForm::of(
                            'speed-over-intended', 'Highest speed above the intended', Dimension::RotationSpeed, 'highest − intended',
                            Source::practice(),
                        )->plus('highest', 'highest speed it saw')->minus('intended', 'speed that it was built for'),
                        ['highest' => From::value('highest_speed'), 'intended' => From::value('intended_speed')],
                    ),
                ),
            ],
            judged: [Judged::of('speed_over_intended', 'above the intended')->ofFact()->onlyIfKnown('intended')],
            site: Site::Engine,
        );
    }
}
