<?php

declare(strict_types=1);

namespace MuteTapper\Core\Guide;

use MuteTapper\Core\Calculation\LinearForm;
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
}
