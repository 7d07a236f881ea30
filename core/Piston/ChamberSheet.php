<?php

declare(strict_types=1);

namespace MuteTapper\Core\Piston;

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

/** The chambers by burette, and the compression ratio that follows from them and the build. */
final class ChamberSheet
{
    public static function declare(): Sheet
    {
        return new Sheet(
            code: 'chambers',
            title: 'Chambers',
            step: Step::Bench,
            what: 'chambers',
            columns: [
                Column::of('chamber_volume', Part::Chamber, 5, 250, Unit::CubicCentimetre)->by('burette')->claimable()
                    ->comparedWithSet()->usually(64, Unit::CubicCentimetre),
                Column::of('piston_volume', Part::Piston, -80, 80, Unit::CubicCentimetre, 'dish of the piston, a dome is negative')
                    ->noEvidence('The compression ratio follows from it, which is set and not a mark.')
                    ->headed('dish')->by('burette')->statable()->usually(5, Unit::CubicCentimetre),
                Column::length('deck_cut', Part::Chamber, 0.0, 0.2, 'cut off the head’s face')
                    ->recordOnly('It explains a small chamber and tight valves; what it takes is in volume and free drop already.')
                    ->usually(0.01),
                Column::length('valves_apart_shut', Part::Chamber, 0.0, 1.5, 'gap between the heads of intake and exhaust, both shut')
                    ->headed('heads apart')->recordOnly('Valve to valve over the crank angle follows from it.')->usually(0.12),
                Column::length('valve_to_valve', Part::Chamber, -0.1, 1.0, 'valve to valve at overlap, as measured')
                    ->headed('valve to valve')->by('feeler')->usually(0.09),
            ],
            values: [
                Value::named('compression_ratio', 'compression ratio', Dimension::Ratio, Site::Cylinder)->headed('ratio')->by(
                    Way::derived(new CompressionRatio(), [
                        'bore' => From::value('bore'), 'stroke' => From::value('stroke'), 'chamber' => From::value('chamber_volume'),
                        'piston' => From::value('piston_volume'), 'gasket_thickness' => From::value('gasket_thickness'),
                        'deck_clearance' => From::value('deck_clearance'),
                    ]),
                ),
            ],
            judged: [Judged::of('valve_to_valve', 'valve to valve')],
            site: Site::Cylinder,
            wants: ['chamber_volume' => 1],
        );
    }
}
