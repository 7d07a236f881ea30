<?php

declare(strict_types=1);

namespace MuteTapper\Core\Guide;

use MuteTapper\Core\Calculation\LinearForm;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\From;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Slider;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;

/** Guides in the head and the seals on them: how tight they sit, how high they stand, what room is around them. */
final class SealSheet
{
    public static function declare(): Sheet
    {
        return new Sheet(
            code: 'seals',
            title: 'Guides in the head, seals',
            step: Step::Bench,
            what: 'guides and seals',
            columns: [
                Column::length('guide_height', Part::Guide, 0.0, 1.8, 'guide top, above the spring seat')->headed('guide top')
                    ->comparedWithSet()->usually(0.62)->movingWith(['shims_under_spring' => -1, 'guide_cut' => -1]),
                Column::length('guide_cut', Part::Guide, 0.0, 0.3, 'cut off the top of the guide')->headed('guide top cut')->neverRead()
                    ->noEvidence('It is a cut to be tried; the height of the guide is what is judged.')
                    ->triedOn(Slider::between(0, 0.15))->orElse(Way::usual(0, Unit::Inch, 'nothing cut off')),
                self::fit('guide_outside', 'outside diameter of the guide', 'guide outside')->by('outside_micrometer')->usually(0.5025),
                self::fit('guide_hole', 'hole of the guide in the head', 'hole')->by('dial_bore_gauge')->usually(0.5008),
                Column::length('seal_outside', Part::Seal, 0.3, 1.6, 'outside diameter of the seal')->headed('seal outside')->usually(0.66),
                Column::length('seal_depth', Part::Seal, 0.0, 1.0, 'guide in the seal, seated')->headed('seated')->comparedWithSet()
                    ->usually(0.25),
            ],
            values: [
                Value::named('guide_interference', 'guide in the head, interference', Dimension::Length, Site::Station)
                    ->shownIn(Fineness::Tenths)->by(Way::derived(self::interference(), [
                        'guide_outside' => From::value('guide_outside'), 'guide_hole' => From::value('guide_hole'),
                    ])),
                Value::named('retainer_to_guide', 'retainer to guide', Dimension::Length)->by(Way::derived(self::retainerToGuide(), [
                    'installed_height' => From::value('installed_height'), 'guide_height' => From::value('guide_height'),
                    'retainer_depth' => From::value('retainer_depth'), 'net_lift' => From::value('net_lift'),
                ])),
                Value::named('least_inside_diameter', 'inside of the innermost spring', Dimension::Length)->by(
                    Way::derived(SealCalculations::innermost(), ['diameters' => From::every('inside_diameter')]),
                ),
                Value::named('guide_in_spring', 'guide in the innermost spring', Dimension::Length)->by(Way::derived(
                    SealCalculations::guideInSpring(),
                    ['inside_diameter' => From::value('least_inside_diameter'), 'guide_outside' => From::value('guide_outside')],
                )),
                Value::named('seal_in_spring', 'seal in the innermost spring', Dimension::Length)->by(Way::derived(
                    SealCalculations::sealInSpring(),
                    ['inside_diameter' => From::value('least_inside_diameter'), 'seal_outside' => From::value('seal_outside')],
                )),
            ],
            judged: [
                Judged::of('guide_interference', 'guide in head')->restsOn('guide_outside', 'guide_hole'),
                Judged::of('retainer_to_guide', 'retainer to guide')->restsOn('installed_height', 'guide_height')
                    ->eatenBy('loft_at_highest'),
                Judged::of('seal_in_spring', 'seal in spring')->restsOn('inside_diameter', 'seal_outside'),
                Judged::of('guide_in_spring', 'guide in spring')->restsOn('inside_diameter', 'guide_outside'),
            ],
            wants: ['guide_height' => 1, 'seal_outside' => 1],
            questions: ['seal_type', 'seal_material', 'seal_colour'],
        );
    }

    private static function fit(string $code, string $label, string $head): Column
    {
        return Column::length($code, Part::Guide, 0.25, 1.2, $label)->headed($head)->shownIn(Fineness::Fine);
    }

    private static function interference(): LinearForm
    {
        return LinearForm::of(
            'guide-interference', 'Interference of a guide in the head', Dimension::Length, 'outside of the guide − hole',
            Source::practice('it falls as the head warms, and the guide’s bore closes in as it is pressed'),
        )->plus('guide_outside', 'outside diameter of the guide')->minus('guide_hole', 'hole in the head');
    }

    private static function retainerToGuide(): LinearForm
    {
        return LinearForm::of(
            'retainer-to-guide', 'Retainer to guide', Dimension::Length, 'installed height − guide height − retainer depth − net lift',
            Source::practice('a seal may be crushed before the guide is reached: the two are judged apart'),
        )
            ->plus('installed_height', 'installed height, above all shims and locator')
            ->minus('guide_height', 'top of the guide above the spring seat')
            ->minus('retainer_depth', 'from the spring’s face down to the retainer’s lowest underside')
            ->minus('net_lift', 'net valve lift');
    }
}
