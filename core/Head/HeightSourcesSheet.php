<?php

declare(strict_types=1);

namespace MuteTapper\Core\Head;

use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\From;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Slider;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;

/** What an installed height is made of, a line a source: head, valve, locks, retainer, locator and shims. */
final class HeightSourcesSheet
{
    public static function declare(): Sheet
    {
        $offset = static fn (string $code, Part $part, string $label, string $head): Column => Column::length(
            $code, $part, -0.25, 0.4, $label,
        )->headed($head)->statable()->usually(0.05)->orElse(Way::usual(0, Unit::Inch, 'as standard, nothing else was said'));

        return new Sheet(
            code: 'height_sources',
            title: 'Where a height comes from',
            step: Step::Bench,
            what: 'heights by their sources',
            columns: [
                Column::length('bare_height', Part::SpringSeat, 0.7, 3.0, 'height with standard parts and nothing under the spring')
                    ->headed('bare height')->by('height_micrometer')->statable()->usually(1.9),
                $offset('longer_valve', Part::Valve, 'valve longer than standard, to the groove', 'longer valve')
                    ->triedOn(Slider::between(0, 0.25)),
                $offset('lock_offset', Part::Locks, 'locks that raise the retainer', 'locks raise')->triedOn(Slider::between(-0.05, 0.05)),
                $offset('retainer_offset', Part::Retainer, 'retainer that raises the spring’s face', 'retainer raises'),
            ],
            values: [
                Value::named('height_from_parts', 'installed height by its sources', Dimension::Length)->headed('by its parts')->by(
                    Way::derived(HeadCalculations::heightFromParts(), [
                        'bare_height' => From::value('bare_height'), 'longer_valve' => From::value('longer_valve'),
                        'lock_offset' => From::value('lock_offset'), 'retainer_offset' => From::value('retainer_offset'),
                        'shims' => From::value('shims_under_spring'),
                    ]),
                ),
                Value::named('height_unexplained', 'installed height that its sources do not explain', Dimension::Length)->by(
                    Way::derived(HeadCalculations::heightUnexplained(), [
                        'installed_height' => From::measured('installed_height'), 'height_from_parts' => From::value('height_from_parts'),
                    ]),
                ),
            ],
            judged: [Judged::of('height_unexplained', 'unexplained')->restsOn('installed_height')],
            also: ['installed_height', 'locator_thickness', 'shim_stack'],
            wants: ['bare_height' => 1],
            goesAcross: true,
        );
    }
}
