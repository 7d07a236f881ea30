<?php

declare(strict_types=1);

namespace MuteTapper\Core\Piston;

use MuteTapper\Core\Calculation\LinearForm;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Quantity\Dimension;

/** Clearances of piston and valve that are sums of lengths. */
final class PistonCalculations
{
    /** How far a valve can drop from its seat before it meets the piston at top dead centre; never added to a drop as measured. */
    public static function freeDrop(): LinearForm
    {
        return LinearForm::of(
            'free-drop', 'Free drop of a valve', Dimension::Length, 'relief depth + recess + deck clearance + gasket', Source::practice(),
        )
            ->plus('relief_depth', 'depth of the relief, along the cylinder')
            ->plus('valve_recess', 'face of the valve below the head’s face')
            ->plus('deck_clearance', 'piston below the deck at top dead centre')
            ->plus('gasket_thickness', 'head gasket, compressed');
    }

    /** What is left of a cold clearance when all-out speed has stretched the engine. */
    public static function afterGrowth(): LinearForm
    {
        return LinearForm::of(
            'clearance-after-growth', 'Piston to valve after growth', Dimension::Length, 'cold clearance − growth',
            Source::practice('a negative sum is no proof of contact: range and witness marks decide'),
        )->plus('cold_clearance', 'clearance measured cold')->minus('growth', 'growth and rod stretch at speed');
    }
}
