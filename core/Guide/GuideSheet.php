<?php

declare(strict_types=1);

namespace MuteTapper\Core\Guide;

use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Sheet\Axis;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\From;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;
use MuteTapper\Core\Verdict\Margin;

/** Stems and guides: each at three depths along and across the crankshaft, read in tenths of a thou. */
final class GuideSheet
{
    /** Depths at which each diameter is wanted before a valve is done; the second direction is for doubt. */
    private const DEPTHS = 3;

    public static function declare(): Sheet
    {
        return new Sheet(
            code: 'guides',
            title: 'Stems and guides',
            step: Step::Bench,
            what: 'stems and guides',
            columns: [
                self::diameter('stem_diameter', Part::Valve, 'stem dia.')->by('outside_micrometer')->usually(0.3417),
                self::diameter('guide_bore', Part::Guide, 'guide bore')->by('dial_bore_gauge')->usually(0.3435),
                self::makers('stem_clearance.least', 'stem in guide, the maker’s least')->usually(0.0010),
                self::makers('stem_clearance.most', 'stem in guide, the maker’s most')->usually(0.0027),
            ],
            values: self::values(),
            judged: [
                Judged::of('stem_clearance', 'stem in guide')->worstOfAll(),
                Judged::of('stem_taper', 'taper')->worstOfAll(),
            ],
            remarks: [self::guideBeforeSeat(...)],
            lines: Axis::Direction,
            wants: ['stem_diameter' => self::DEPTHS, 'guide_bore' => self::DEPTHS],
        );
    }

    private static function diameter(string $code, Part $part, string $short): Column
    {
        return Column::length($code, $part, 0.15, 0.6)->headed($short)->at(Axis::Depth, Axis::Direction)->shownIn(Fineness::Fine);
    }

    /** The maker's own window goes before that of the trade; it is stated with the build, by kind of valve. */
    private static function makers(string $code, string $label): Column
    {
        return Column::length($code, Part::Guide, 0.0002, 0.02, $label)->shownIn(Fineness::Tenths)->statable()->neverRead();
    }

    /** @return list<Value> */
    private static function values(): array
    {
        $fine = static fn (string $name, string $title, Axis ...$axes): Value => Value::named(
            $name, $title, Dimension::Length, Site::Station, ...$axes,
        )->shownIn(Fineness::Tenths);
        $ofClearances = ['clearances' => From::every('stem_clearance')];
        $bellMouth = Way::derived(
            GuideCalculations::bellMouth(), ['end' => From::value('guide_bore'), 'middle' => From::value('guide_bore', 'middle')],
        );

        return [
            $fine('stem_clearance', 'stem in guide', Axis::Depth, Axis::Direction)->by(
                Way::derived(
                    GuideCalculations::stemInGuide(),
                    ['guide_bore' => From::value('guide_bore'), 'stem_diameter' => From::value('stem_diameter')],
                ),
            ),
            $fine('least_clearance', 'least clearance')
                ->headed('least')->by(Way::derived(GuideCalculations::leastClearance(), $ofClearances)),
            $fine('greatest_clearance', 'greatest clearance')
                ->headed('most')->by(Way::derived(GuideCalculations::greatestClearance(), $ofClearances)),
            $fine('stem_taper', 'taper of the stem', Axis::Direction)->by(
                Way::derived(GuideCalculations::taper(), ['diameters' => From::every('stem_diameter', 2)]),
            ),
            $fine('stem_out_of_round', 'stem out of round', Axis::Depth)->by(
                Way::derived(GuideCalculations::outOfRound(), ['diameters' => From::every('stem_diameter', 2)]),
            ),
            $fine('guide_out_of_round', 'guide out of round', Axis::Depth)->by(
                Way::derived(GuideCalculations::outOfRound(), ['diameters' => From::every('guide_bore', 2)]),
            ),
            $fine(
                'bell_mouth', 'bell-mouth of the guide', Axis::Depth, Axis::Direction,
            )->by($bellMouth->at('top'), $bellMouth->at('bottom')),
            $fine('most_stem_out_of_round', 'greatest out of round of the stem')->headed('stem round')->by(
                Way::derived(GuideCalculations::mostOutOfRound(), ['differences' => From::every('stem_out_of_round')]),
            ),
            $fine('most_guide_out_of_round', 'greatest out of round of the guide')->headed('bore round')->by(
                Way::derived(GuideCalculations::mostOutOfRound(), ['differences' => From::every('guide_out_of_round')]),
            ),
            $fine('most_bell_mouth', 'greatest bell-mouth')->headed('bell-mouth')->by(
                Way::derived(GuideCalculations::mostBellMouth(), ['differences' => From::every('bell_mouth')]),
            ),
        ];
    }

    /**
     * A seat is cut from its guide: while that is wrong, neither cutting nor judging the seat is of use. [practice].
     *
     * @return list<string>
     */
    private static function guideBeforeSeat(Bench $bench): array
    {
        $outside = array_filter($bench->marginsOf('stem_clearance'), static fn (Margin $margin): bool => $margin->isOutside());
        $labels = array_map(
            static fn (Margin $margin): string => $bench->case->engine->placeLabel($margin->place) ?? $margin->place, $outside,
        );

        return $labels === []
            ? []
            : [sprintf('Guide before seat: put the guides right before the seats are judged or cut, at %s.', implode(', ', $labels))];
    }
}
