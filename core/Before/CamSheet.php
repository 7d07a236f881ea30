<?php

declare(strict_types=1);

namespace MuteTapper\Core\Before;

use MuteTapper\Core\Calculation\LinearForm;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Axis;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\From;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;

/** Phase of each cam against its card. */
final class CamSheet
{
    public static function declare(): Sheet
    {
        $phase = LinearForm::of(
            'cam-phase-departure', 'Cam phase against the card', Dimension::CrankAngle, 'found − card',
            Source::practice(
                'more than 2 crank degrees off the card is a finding; positive is late where centres stand after top dead centre',
            ),
        )->plus('found', 'centre line as found')->minus('card', 'centre line on the card');

        return new Sheet(
            code: 'cams',
            title: 'Cam phase',
            step: Step::Before,
            what: 'cams',
            columns: [
                Column::of(
                    'cam_phase_card', Part::Timing, -180, 720, Unit::Degree, 'cam phase on the card',
                )->headed('on the card')->at(Axis::Cam)->by('degree_wheel')->usually(108, Unit::Degree),
                Column::of(
                    'cam_phase_found', Part::Timing, -180, 720, Unit::Degree, 'cam phase found',
                )->headed('found')->at(Axis::Cam)->by('degree_wheel')->usually(108, Unit::Degree),
            ],
            values: [
                Value::named('cam_phase', 'cam phase against the card', Dimension::CrankAngle, Site::Engine, Axis::Cam)
                    ->by(Way::derived($phase, ['found' => From::value('cam_phase_found'), 'card' => From::value('cam_phase_card')])),
            ],
            judged: [Judged::of('cam_phase', 'off the card')],
            site: Site::Engine,
            rows: Axis::Cam,
        );
    }
}
