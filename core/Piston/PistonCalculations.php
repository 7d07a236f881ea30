<?php

declare(strict_types=1);

namespace MuteTapper\Core\Piston;

use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Formula;
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

    /** Metal to take off the deck of the head for a smaller chamber. */
    public static function metalToTakeOff(): Formula
    {
        return Formula::of(
            'metal-to-take-off', 'Metal to take off the head', Dimension::Length, '(volume as measured − wanted volume) ÷ opening',
            Source::practice('true for small cuts, while the opening keeps its size'),
            static fn (float $volume, float $wanted, float $opening): float => ($volume - $wanted) / $opening,
        )
            ->input('volume', 'volume of the chamber as measured', Dimension::Volume)
            ->input('wanted', 'volume that is wanted', Dimension::Volume)
            ->input('opening', 'opening of the chamber at the head’s face', Dimension::Area);
    }

    /** Room between the heads of an intake and an exhaust valve that lean towards each other, along the line between them. */
    public static function valveToValve(): Formula
    {
        return Formula::of(
            'valve-to-valve', 'Valve to valve at overlap', Dimension::Length,
            'gap of the closed heads − intake lift·sin(its lean) − exhaust lift·sin(its lean)',
            Source::practice('along the line between the heads; the true gap is wider where their lifts differ'),
            static fn (float $gap, float $intake, float $exhaust, float $intakeLean, float $exhaustLean): float => $gap
                - $intake * sin(deg2rad($intakeLean)) - $exhaust * sin(deg2rad($exhaustLean)),
        )
            ->input('closed_gap', 'gap between the edges of the closed heads', Dimension::Length)
            ->input('intake_lift', 'lift of the intake valve at this crank angle', Dimension::Length)
            ->input('exhaust_lift', 'lift of the exhaust valve at this crank angle', Dimension::Length)
            ->input('intake_lean', 'lean of the intake valve towards the other', Dimension::CrankAngle)
            ->input('exhaust_lean', 'lean of the exhaust valve towards the other', Dimension::CrankAngle);
    }

    /** What is left of a cold clearance when all-out speed has stretched the engine. */
    public static function afterGrowth(): LinearForm
    {
        return LinearForm::of(
            'clearance-after-growth', 'Piston to valve after growth', Dimension::Length, 'cold clearance − growth',
            Source::practice('a negative sum is no proof of contact: range and witness marks decide'),
        )->plus('cold_clearance', 'clearance measured cold')->minus('growth', 'growth and rod stretch at speed');
    }

    /**
     * What a cam that lags at speed gives an intake, and takes from an exhaust: shown apart, and never needed to pass. From two
     * clearances read around the narrowest, a step of the crank apart.
     */
    public static function driveLagCredit(): Formula
    {
        return Formula::of(
            'drive-lag-credit', 'Piston to valve, eased by the drive’s lag', Dimension::Length,
            'lag × (clearance after − clearance before) ÷ step, in degrees of the crank',
            Source::practice('the cam runs late by what its drive stretches: an intake goes away from the piston, an exhaust towards it'),
            static function (float $lag, float $before, float $after, float $step): float {
                if ($step <= 0.0) {
                    throw Contradiction::because('The step between the clearances must be more than nothing.');
                }

                return $lag * ($after - $before) / $step;
            },
        )
            ->input('lag', 'lag of the cam at speed, in degrees of the crank', Dimension::CrankAngle)
            ->input('clearance_before', 'clearance with the cam as set', Dimension::Length)
            ->input('clearance_after', 'clearance with the cam later by the step', Dimension::Length)
            ->input('step', 'step, in degrees of the crank', Dimension::CrankAngle);
    }
}
