<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cam;

use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\LashKind;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Way;

/** What the card of a cam says of its lobes. Where it is silent, what such cams usually have stands in, and is said to be assumed. */
final class CardSheet
{
    public static function declare(): Sheet
    {
        $isSolid = static fn (Engine $engine): bool => $engine->lash === LashKind::Solid;
        $isHydraulic = static fn (Engine $engine): bool => $engine->lash === LashKind::Hydraulic;
        $inch = static fn (float $solid, float $within, float $hydraulic, float $about): array => [
            Way::usual($solid, Unit::Inch, 'as solid lobes usually have it', $within)->on($isSolid),
            Way::usual($hydraulic, Unit::Inch, 'as lobes for hydraulic followers usually have it', $about)->on($isHydraulic),
        ];
        $duration = static fn (string $code, string $label): Column => Column::of($code, Part::Lobe, 120, 400, Unit::Degree, $label);

        return new Sheet(
            code: 'cam_card',
            title: 'Card of the cam',
            step: Step::Motion,
            what: 'lobes',
            columns: array_map(static fn (Column $column): Column => $column->neverRead()->statable(), [
                Column::length('card_high_lift', Part::Lobe, 0.02, 0.2, 'card: greater lift of a duration')->usually(0.05)
                    ->orElse(Way::usual(0.05, Unit::Inch, 'the usual 0.050 in')),
                $duration('card_high_duration', 'card: duration above the greater lift')->usually(255, Unit::Degree),
                Column::length('card_low_lift', Part::Lobe, 0.002, 0.06, 'card: smaller lift, of the advertised duration')->usually(0.02)
                    ->orElse(...$inch(0.020, 0.0, 0.006, 0.0)),
                $duration('card_low_duration', 'card: advertised duration')->usually(290, Unit::Degree),
                Column::of(
                    'card_centre', Part::Lobe, 60, 150, Unit::Degree, 'card: lobe centre, after TDC of an intake, before TDC of an exhaust',
                )->usually(108, Unit::Degree),
                Column::of(
                    'card_skew', Part::Lobe, -40, 40, Unit::Degree, 'card: crank degrees by which the closing flank is longer',
                )->usually(0, Unit::Degree)->orElse(Way::usual(0, Unit::Degree, 'both flanks alike')),
                Column::length('ramp_height', Part::Lobe, 0.001, 0.05, 'card: height of the ramp, at the lobe')->usually(0.012)
                    ->orElse(...$inch(0.012, 0.002, 0.0035, 0.0005)),
                Column::length('ramp_rate', Part::Lobe, 0.00005, 0.003, 'card: lift of the ramp for each cam degree')->usually(0.00045)
                    ->shownIn(Fineness::Fine)
                    ->orElse(...$inch(0.00045, 0.0001, 0.0003, 0.0001)),
            ]),
        );
    }
}
