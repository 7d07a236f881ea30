<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use MuteTapper\Core\Calculation\Formula;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Quantity\Dimension;

/**
 * How near a piston comes to a valve about overlap, by the card of the cam: where nothing was measured it says how the clearance moves
 * with phase, ratio and relief; its level is as good as what is known of deck, gasket and relief. A clay check fixes that. [own].
 */
final readonly class PistonToValve
{
    /** The least clearance. */
    public static function least(ValveKind $kind): Formula
    {
        return self::declared(
            $kind, sprintf('piston-to-%s-valve', $kind->word()), sprintf('Piston to %s valve, by the cam card', $kind->word()),
            Dimension::Length, 'least of (piston below TDC + deck + gasket + relief + recess) × cos(lean) − lift about overlap',
            static fn (PistonRoom $room): float => $room->nearest()[1],
        );
    }

    /** Where it is least: above nothing after top dead centre, below it before. */
    public static function nearestAt(ValveKind $kind): Formula
    {
        return self::declared(
            $kind, $kind->word().'-nearest-at', sprintf('Crank angle at which the %s valve is nearest', $kind->word()),
            Dimension::CrankAngle, 'crank degrees after TDC at which piston to valve is least, by the cam card',
            static fn (PistonRoom $room): float => $room->nearest()[0],
        );
    }

    /** @param \Closure(PistonRoom): float $tell */
    private static function declared(
        ValveKind $kind,
        string $name,
        string $title,
        Dimension $dimension,
        string $formula,
        \Closure $tell,
    ): Formula {
        $of = Formula::of(
            $name, $title, $dimension, $formula,
            Source::own('slider and crank are any text’s; the flank of the lobe is a guess from its card'),
            static function (float ...$figure) use ($kind, $tell): float {
                [$stroke, $rod, $offset, $deck, $gasket, $relief, $recess, $lean, $ratio, $lash, $lift] = $figure;
                [$high, $highDuration, $low, $lowDuration, $rampHeight, $rampRate, $centre, $advance] = array_slice($figure, 11);

                $lobe = CamCard::of($lift, $high, $highDuration / 4, $low, $lowDuration / 4, $rampHeight, $rampRate)->curve();

                return $tell(PistonRoom::of(
                    ValveLift::of($lobe, $ratio, $lash, ($kind === ValveKind::Intake ? $centre : -$centre) - $advance),
                    CrankSlider::of($stroke, $rod, $offset), $deck + $gasket + $relief + $recess, $lean,
                ));
            },
        );
        foreach (self::inputs($kind) as $input => [$meaning, $what]) {
            $of = $of->input($input, $meaning, $what);
        }

        return $of;
    }

    /** @return array<string, array{string, Dimension}> */
    private static function inputs(ValveKind $kind): array
    {
        return [
            'stroke' => ['stroke', Dimension::Length],
            'rod_length' => ['length of the rod', Dimension::Length],
            'pin_offset' => ['offset of the piston pin', Dimension::Length],
            'deck_clearance' => ['piston below the block face at top dead centre', Dimension::Length],
            'gasket_thickness' => ['thickness of the gasket, crushed', Dimension::Length],
            'relief_depth' => ['depth of the relief, along the cylinder', Dimension::Length],
            'valve_recess' => ['face of the valve below the head’s face', Dimension::Length],
            'valve_lean' => ['lean of the valve from the cylinder axis', Dimension::CrankAngle],
            'ratio' => ['rocker ratio', Dimension::Ratio],
            'lash' => ['lash, at the valve', Dimension::Length],
            'lobe_lift' => ['lift of the lobe', Dimension::Length],
            'high_lift' => ['greater lift of the card, at the lobe: 0.050 in', Dimension::Length],
            'high_duration' => ['crank degrees above the greater lift', Dimension::CrankAngle],
            'low_lift' => ['smaller lift of the card, at the lobe: that of the advertised duration', Dimension::Length],
            'low_duration' => ['crank degrees above the smaller lift', Dimension::CrankAngle],
            'ramp_height' => ['height of the ramp, at the lobe', Dimension::Length],
            'ramp_rate' => ['lift of the ramp for each cam degree', Dimension::Length],
            'lobe_centre' => [
                sprintf('centre of the lobe, crank degrees %s top dead centre', $kind === ValveKind::Intake ? 'AFTER' : 'BEFORE'),
                Dimension::CrankAngle,
            ],
            'advance' => ['the cam is early by so many crank degrees; late below nothing', Dimension::CrankAngle],
        ];
    }
}
