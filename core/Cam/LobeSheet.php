<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cam;

use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Sheet\Sheet;

/** The lobes: lift that is left of the card’s and against the others, run-out of the base circle, what the follower has worn. */
final class LobeSheet
{
    public static function declare(): Sheet
    {
        return new Sheet(
            code: 'lobes',
            title: 'Lobes',
            step: Step::Bench,
            what: 'lobes',
            columns: [
                Column::length('base_run_out', Part::Lobe, 0.0, 0.05, 'run-out of the base circle')->headed('base run-out')
                    ->by('dial_indicator')->shownIn(Fineness::Fine)->usually(0.0006),
                Column::length('nose_width', Part::Lobe, 0.02, 1.2, 'width of the polish on the nose')->headed('nose')->comparedWithSet()
                    ->usually(0.3),
                Column::length('track_width', Part::Lobe, 0.02, 1.5, 'width of the track')->headed('track')->comparedWithSet()
                    ->usually(0.5),
            ],
            judged: [Judged::of('base_run_out', 'base run-out')],
            also: ['lobe_lift'],
            wants: ['lobe_lift' => 1, 'base_run_out' => 1],
        );
    }
}
