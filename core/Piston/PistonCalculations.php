<?php

declare(strict_types=1);

namespace MuteTapper\Core\Piston;

use MuteTapper\Core\Calculation\LinearForm;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Quantity\Dimension;

/** Clearances of piston and valve that are sums of lengths. */
final class PistonCalculations
{
    /** What is left of a cold clearance when all-out speed has stretched the engine. */
    public static function afterGrowth(): LinearForm
    {
        return LinearForm::of(
            'clearance-after-growth', 'Piston to valve after growth', Dimension::Length, 'cold clearance − growth',
            Source::practice('a negative sum is no proof of contact: range and witness marks decide'),
        )->plus('cold_clearance', 'clearance measured cold')->minus('growth', 'growth and rod stretch at speed');
    }
}
