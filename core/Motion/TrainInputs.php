<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Quantity\Dimension;

/** The figures that a moving train is made of, by name: what a calculation asks for, and the train that they make. */
final readonly class TrainInputs
{
    private const CARD = [
        'lobe_lift' => ['lift at the lobe', Dimension::Length], 'high_lift' => ['greater lift of the card: 0.050 in', Dimension::Length],
        'high_duration' => ['crank degrees above the greater lift', Dimension::CrankAngle],
        'low_lift' => ['smaller lift of the card: that of the advertised duration', Dimension::Length],
        'low_duration' => ['crank degrees above the smaller lift', Dimension::CrankAngle],
        'ramp_height' => ['height of the ramp, at the lobe', Dimension::Length],
        'ramp_rate' => ['lift of the ramp for each cam degree', Dimension::Length],
        'skew' => ['crank degrees by which the closing flank is longer than the opening one', Dimension::CrankAngle],
    ];
    private const TRAIN = [
        'mass' => ['effective mass at the valve', Dimension::Mass], 'spring_mass' => ['mass of all springs', Dimension::Mass],
        'ratio' => ['rocker ratio', Dimension::Ratio], 'lash' => ['lash, at the valve', Dimension::Length],
        'stiffness' => ['stiffness of the train, seen from the valve', Dimension::Stiffness],
        'seat_load' => ['spring load on the seat', Dimension::Force], 'half_load' => ['spring load at half lift', Dimension::Force],
        'open_load' => ['spring load at full lift', Dimension::Force], 'net_lift' => ['full lift at the valve', Dimension::Length],
        'gas_force' => ['gas force that opens the valve, 0 where none is known', Dimension::Force],
    ];
    /** Shares of the acceleration between which one falls off over a nose. [own] */
    private const NOSES = [0.1, 2.5];
    /** How far a figure is moved to see what hangs on it: a share of it, or an amount where it may be nothing. Base units. */
    private const SHARES = [
        'lobe_lift' => 0.01, 'high_lift' => 0.02, 'low_lift' => 0.02, 'ramp_height' => 0.03, 'ramp_rate' => 0.05, 'mass' => 0.03,
        'spring_mass' => 0.05, 'ratio' => 0.01, 'stiffness' => 0.15, 'seat_load' => 0.03, 'half_load' => 0.02, 'open_load' => 0.02,
        'net_lift' => 0.01,
    ];
    private const AMOUNTS = [
        'high_duration' => 1.0, 'low_duration' => 1.0, 'skew' => 1.0, 'lash' => 5e-5, 'gas_force' => 10.0, 'speed' => 40.0,
    ];

    /** @return list<Input> */
    public static function of(bool $isByTable): array
    {
        return [...self::ofLobe($isByTable), ...self::scalars(self::TRAIN)];
    }

    /** @return list<Input> what a lobe is known by: its measured lift, or its card */
    public static function ofLobe(bool $isByTable): array
    {
        return $isByTable ? [
            Input::list('degrees', 'cam degrees of the measured lifts', Dimension::CrankAngle),
            Input::list('lifts', 'measured lifts at the lobe, one a degree', Dimension::Length),
        ] : self::scalars(self::CARD);
    }

    /**
     * @param array<string, array{string, Dimension}> $named meaning and dimension by name
     *
     * @return list<Input>
     */
    public static function scalars(array $named): array
    {
        return array_map(
            static fn (string $name, array $of): Input => Input::scalar($name, ...$of), array_keys($named), array_values($named),
        );
    }

    /**
     * The lobe of a card.
     *
     * @param array<string, float> $figures
     *
     * @throws Contradiction
     */
    public static function lobe(array $figures, ?FlankShape $shape = null): LobeCurve
    {
        $shape ??= FlankShape::usual();
        $flank = static fn (float $longer, FlankShape $of): CamCard => CamCard::of(
            $figures['lobe_lift'], $figures['high_lift'], ($figures['high_duration'] + $longer) / 4, $figures['low_lift'],
            ($figures['low_duration'] + $longer) / 4, $figures['ramp_height'], $figures['ramp_rate'], $of,
        );
        $skew = $figures['skew'];
        if ($skew === 0.0) {
            return $flank(0.0, $shape)->curve();
        }
        $opening = $flank(-$skew, $shape);

        return $opening->curve(self::matched(
            static fn (float $nose): CamCard => $flank($skew, $shape->withNose($nose)), $opening->noseBend(), $shape->nose,
        ));
    }

    /**
     * The closing flank whose acceleration is that of the opening one where they meet: by the share that falls off over its nose.
     *
     * @param \Closure(float): CamCard $flank by that share
     *
     * @throws Contradiction
     */
    private static function matched(\Closure $flank, float $bend, float $nose): CamCard
    {
        [$before, $now] = [$nose, $nose + 0.05];
        $miss = $flank($before)->noseBend() / $bend - 1;
        for ($turn = 0; $turn < 30; ++$turn) {
            $card = $flank($now);
            $next = $card->noseBend() / $bend - 1;
            if (abs($next) < 1e-9) {
                return $card;
            }
            if ($next === $miss) {
                break;
            }
            [$before, $miss, $now] = [$now, $next, $now - $next * ($now - $before) / ($next - $miss)];
            if ($now < self::NOSES[0] || $now > self::NOSES[1]) {
                break;
            }
        }

        throw Contradiction::because('The flanks of the card differ so much that no nose joins them.');
    }

    /**
     * @param array<string, float> $figures
     *
     * @throws Contradiction
     */
    public static function train(LobeCurve $lobe, array $figures): ValveTrain
    {
        [$lift, $gas] = [$figures['net_lift'], $figures['gas_force']];
        if ($lift <= 0.0) {
            throw Contradiction::because('The valve has no lift.');
        }
        // A load at half lift that lies on the line is no load of its own.
        $straight = ($figures['seat_load'] + $figures['open_load']) / 2;
        $bends = abs($figures['half_load'] - $straight) > 0.002 * $figures['open_load'];
        $spring = $bends ? SpringLine::through(
            [[0.0, $figures['seat_load']], [$lift / 2, $figures['half_load']], [$lift, $figures['open_load']]],
        ) : SpringLine::straight($figures['seat_load'], ($figures['open_load'] - $figures['seat_load']) / $lift);

        return ValveTrain::of(
            $lobe, $figures['mass'], $figures['ratio'], $figures['lash'], $figures['stiffness'], $spring->less($gas),
            $figures['spring_mass'],
        );
    }

    /**
     * @param array<string, float> $figures
     *
     * @return array<string, float> step by figure, in base units
     */
    public static function steps(array $figures): array
    {
        $steps = self::AMOUNTS;
        foreach (self::SHARES as $name => $share) {
            if (($figures[$name] ?? 0.0) !== 0.0) {
                $steps[$name] = $share * abs($figures[$name]);
            }
        }

        return array_intersect_key($steps, $figures);
    }
}
