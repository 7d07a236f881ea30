<?php

declare(strict_types=1);

namespace MuteTapper\Core\Guide;

use MuteTapper\Core\Calculation\LinearForm;
use MuteTapper\Core\Calculation\OfSet;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Quantity\Dimension;

/** What room a seal has. */
final class SealCalculations
{
    /** Of the springs that were measured, the one that is nearest to the guide. */
    public static function innermost(): OfSet
    {
        $source = Source::own('the spring that is nearest to guide and seal');

        return OfSet::least(
            'innermost-spring', 'Inside of the innermost spring', 'diameters', 'inside diameters of the springs of a station',
            Dimension::Length, $source,
        );
    }

    public static function guideInSpring(): LinearForm
    {
        return LinearForm::of(
            'guide-in-spring', 'Guide in the innermost spring', Dimension::Length, 'inside diameter − outside of the guide',
            Source::practice('a second spring strikes a wide guide'),
        )->plus('inside_diameter', 'inside diameter of the innermost spring')->minus('guide_outside', 'outside diameter of the guide');
    }

    public static function sealInSpring(): LinearForm
    {
        return LinearForm::of(
            'seal-in-spring', 'Seal in the innermost spring', Dimension::Length, 'inside diameter − outside of the seal',
            Source::practice(),
        )->plus('inside_diameter', 'inside diameter of the innermost spring')->minus('seal_outside', 'outside diameter of the seal');
    }
}
