<?php

declare(strict_types=1);

namespace MuteTapper\Core\Guide;

use MuteTapper\Core\Calculation\LinearForm;
use MuteTapper\Core\Calculation\OfSet;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Quantity\Dimension;

/** What follows from the diameters of stem and guide. */
final class GuideCalculations
{
    /** Clearance of a stem in its guide at one depth, diametral. */
    public static function stemInGuide(): LinearForm
    {
        return LinearForm::of('stem-in-guide', 'Stem in guide', Dimension::Length, 'guide bore − stem diameter', Source::practice())
            ->plus('guide_bore', 'guide bore')
            ->minus('stem_diameter', 'stem diameter at the same depth');
    }

    /** How much wider a guide is at its end than in its middle; negative where the end has closed in. */
    public static function bellMouth(): LinearForm
    {
        return LinearForm::of('bell-mouth', 'Bell-mouth of a guide', Dimension::Length, 'end − middle', Source::practice())
            ->plus('end', 'guide bore at an end')
            ->minus('middle', 'guide bore in the middle, in the same direction');
    }

    public static function leastClearance(): OfSet
    {
        $source = Source::practice('where a stem is tightest it seizes');

        return OfSet::least(
            'least-clearance', 'Least clearance of a stem', 'clearances', 'clearances at all depths', Dimension::Length, $source,
        );
    }

    public static function greatestClearance(): OfSet
    {
        $source = Source::practice('where a stem is loosest it rocks');

        return OfSet::greatest(
            'greatest-clearance', 'Greatest clearance of a stem', 'clearances', 'clearances at all depths', Dimension::Length, $source,
        );
    }

    public static function taper(): OfSet
    {
        return OfSet::spread(
            'stem-taper', 'Taper of a stem', 'diameters', 'stem diameters along one line', Dimension::Length, Source::practice(),
        );
    }

    public static function outOfRound(): OfSet
    {
        return OfSet::spread('out-of-round', 'Out of round', 'diameters', 'diameters at one depth', Dimension::Length, Source::practice());
    }

    public static function mostOutOfRound(): OfSet
    {
        $meaning = 'differences of two directions, by depth';

        return OfSet::greatest(
            'most-out-of-round', 'Greatest out of round', 'differences', $meaning, Dimension::Length, Source::practice(),
        );
    }

    public static function mostBellMouth(): OfSet
    {
        $meaning = 'differences of the ends from the middle';

        return OfSet::greatest('most-bell-mouth', 'Greatest bell-mouth', 'differences', $meaning, Dimension::Length, Source::practice());
    }
}
