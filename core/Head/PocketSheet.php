<?php

declare(strict_types=1);

namespace MuteTapper\Core\Head;

use MuteTapper\Core\Calculation\LinearForm;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\From;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Slider;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;

/** Spring pockets and what is laid into them: locators by their diameters and thickness, the stack of shims apart. */
final class PocketSheet
{
    public static function declare(): Sheet
    {
        $locator = static fn (string $code, float $least, float $most, string $label, string $head): Column => Column::length(
            $code, Part::SpringSeat, $least, $most, $label,
        )->headed($head);

        return new Sheet(
            code: 'pockets',
            title: 'Pockets and locators',
            step: Step::Bench,
            what: 'pockets and locators',
            columns: [
                $locator('pocket_depth', 0.0, 1.2, 'depth of the pocket', 'pocket depth')->usually(0.06),
                $locator('locator_flange', 0.5, 3.0, 'flange of the locator', 'flange')->usually(1.55),
                $locator('locator_outside', 0.3, 2.2, 'register of the locator, outside', 'locator outside')->usually(1.105),
                $locator('locator_inside', 0.25, 1.4, 'hole of the locator', 'locator hole')->usually(0.51),
                $locator('locator_thickness', 0.0, 0.3, 'thickness of the locator under the spring', 'locator thickness')->usually(0.06)
                    ->triedOn(Slider::between(0, 0.12)),
                $locator('shim_stack', 0.0, 0.3, 'spring shims, all together', 'shims')->usually(0.03)->triedOn(Slider::between(0, 0.15)),
            ],
            values: [
                self::fit(
                    'locator_in_spring', 'locator in the innermost spring', 'least_inside_diameter', 'inside of the innermost spring',
                    'locator_outside', 'register of the locator',
                ),
                self::fit(
                    'locator_over_guide', 'locator over the guide', 'locator_inside', 'hole of the locator', 'guide_outside',
                    'outside of the guide',
                ),
                self::fit(
                    'locator_in_pocket', 'locator in the pocket', 'pocket_diameter', 'diameter of the pocket', 'locator_flange',
                    'flange of the locator',
                ),
                Value::named('spring_above_rim', 'spring’s face above the rim of the pocket', Dimension::Length)->headed('above rim')->by(
                    Way::derived(self::aboveRim(), [
                        'shims' => From::value('shims_under_spring'), 'pocket_depth' => From::value('pocket_depth'),
                    ]),
                ),
                Value::named('spring_in_pocket_pressed', 'spring in pocket, pressed together', Dimension::Length)->by(
                    Way::derived(HeadCalculations::pressedInPocket(), [
                        'room' => From::value('spring_in_pocket'), 'growth' => From::value('coil_growth', Coil::Outer->value),
                        'above_rim' => From::value('spring_above_rim'),
                    ]),
                ),
            ],
            judged: [
                Judged::of('locator_in_spring', 'locator in spring')->restsOn('outer', 'inner'),
                Judged::of('locator_over_guide', 'locator over guide')->restsOn('outer', 'inner'),
                Judged::of('locator_in_pocket', 'locator in pocket')->restsOn('outer', 'inner'),
                Judged::of('spring_in_pocket_pressed', 'spring, pressed')->restsOn('room', 'growth'),
            ],
            also: ['pocket_diameter'],
            wants: ['pocket_depth' => 1, 'locator_thickness' => 1],
            goesAcross: true,
        );
    }

    private static function fit(string $name, string $title, string $outer, string $around, string $inner, string $within): Value
    {
        return Value::named($name, $title, Dimension::Length)->by(Way::derived(
            LinearForm::of(
                str_replace('_', '-', $name), ucfirst($title), Dimension::Length, $around.' − '.$within, Source::practice('diametral'),
            )->plus('outer', $around)->minus('inner', $within),
            ['outer' => From::value($outer), 'inner' => From::value($inner)],
        ));
    }

    /** Positive where the spring stands above the pocket: then only the locator must fit it. */
    private static function aboveRim(): LinearForm
    {
        return LinearForm::of(
            'spring-above-rim', 'Spring’s face above the rim of the pocket', Dimension::Length, 'shims and locator − pocket depth',
            Source::practice('above the rim only the locator must fit the pocket, below it the spring must'),
        )->plus('shims', 'shims and locator under the spring')->minus('pocket_depth', 'depth of the pocket');
    }
}
