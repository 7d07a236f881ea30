<?php

declare(strict_types=1);

namespace MuteTapper\Core\Rocker;

use MuteTapper\Core\Calculation\LinearForm;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\DriveKind;
use MuteTapper\Core\Engine\Engine;
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

/** Pushrods and rockers or fingers: length and straightness, ratio at two lifts, the path on the tip. */
final class RockerSheet
{
    public static function declare(): Sheet
    {
        $pushrods = static fn (Engine $engine): bool => $engine->drive === DriveKind::Pushrod;

        return new Sheet(
            code: 'rockers',
            title: 'Pushrods and rockers',
            step: Step::Bench,
            what: 'pushrods and rockers',
            columns: [
                Column::length('pushrod_length', Part::Pushrod, 3.0, 16.0)->on($pushrods)->claimable()->comparedWithSet()->usually(7.8),
                Column::length('pushrod_run_out', Part::Pushrod, 0.0, 0.5, 'run-out of the pushrod')->headed('run-out')->on($pushrods)
                    ->by('dial_indicator')->usually(0.002),
                Column::of('ratio_half', Part::Rocker, 0.8, 2.6, Unit::One, 'ratio at half lift')->by('ratio_from_lifts')
                    ->noEvidence('It shows the geometry, which its path on the tip judges.')
                    ->usually(1.52, Unit::One),
                Column::length('tip_path', Part::Rocker, 0.0, 0.4, 'width of the path on the tip')->headed('tip path')->usually(0.05),
            ],
            values: [
                Value::named('ratio_change', 'ratio at full lift over that at half', Dimension::Ratio, Site::Station)
                    ->headed('change')->by(Way::derived(self::change(), [
                        'full' => From::measured('ratio'), 'half' => From::value('ratio_half'),
                    ])),
            ],
            judged: [Judged::of('pushrod_run_out', 'run-out'), Judged::of('tip_path', 'tip path')],
            also: ['ratio'],
            wants: ['pushrod_length' => 1, 'pushrod_run_out' => 1, 'tip_path' => 1],
            on: static fn (Engine $engine): bool => $engine->drive !== DriveKind::Bucket,
        );
    }

    private static function change(): LinearForm
    {
        return LinearForm::of(
            'ratio-change', 'Change of the rocker ratio over the lift', Dimension::Ratio, 'ratio at full lift − ratio at half lift',
            Source::practice('a pushrod of the wrong length moves the rocker’s arc, and the ratio with it'),
        )->plus('full', 'ratio measured at full lift')->minus('half', 'ratio measured at half lift');
    }
}
