<?php

declare(strict_types=1);

namespace MuteTapper\Core\Before;

use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Axis;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\Sheet;

/** What is measured of the assembled engine as a whole. */
final class EngineTestSheet
{
    public static function declare(): Sheet
    {
        return new Sheet(
            code: 'engine_tests',
            title: 'Engine',
            step: Step::Before,
            what: 'tests of the engine',
            columns: [
                Column::of('oil_pressure', Part::Oil, 0, 200, Unit::PoundPerSquareInch)
                    ->at(Axis::Warmth)->by('pressure_gauge')->usually(60, Unit::PoundPerSquareInch)
                    ->recordOnly('What is low or late the maker’s figure decides; it is found as a sign of the oil.'),
                Column::of('lash_temperature', Part::Valve, -40, 200, Unit::DegreeCelsius, 'head temperature at the lash reading')
                    ->headed('head temperature')->ofEach(Site::Engine)->by('thermometer')->usually(20, Unit::DegreeCelsius)
                    ->recordOnly('Lash is compared at one temperature alone: it stands beside the readings.'),
            ],
            site: Site::Engine,
        );
    }
}
