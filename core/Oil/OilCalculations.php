<?php

declare(strict_types=1);

namespace MuteTapper\Core\Oil;

use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Formula;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Quantity\Dimension;

/** The oil between lobe and follower: how thick it is when hot, and whether its film keeps the roughness apart. */
final class OilCalculations
{
    private const AT_40 = 313.15;
    private const AT_100 = 373.15;
    /** Below it the short form of the standard is not meant to be used, in m²/s. */
    private const THINNEST = 2e-6;

    /** Kinematic viscosity at a temperature, from those at 40 °C and 100 °C. */
    public static function viscosity(): Formula
    {
        return Formula::of(
            'oil-viscosity-at-temperature', 'Viscosity of an oil at a temperature', Dimension::Viscosity,
            'lg lg(ν + 0.7) falls in a straight line over lg T, through the figures at 40 °C and 100 °C (ν in mm²/s, T in kelvin)',
            Source::published('ASTM D341, the form for 2 mm²/s and more; from memory'),
            static function (float $at40, float $at100, float $temperature): float {
                if ($at100 < self::THINNEST || $at40 <= $at100) {
                    throw Contradiction::because(
                        'An oil is thicker at 40 °C than at 100 °C, where it has at least 2 mm²/s: check which figure is which.',
                    );
                }
                $rise = static fn (float $viscosity): float => log10(log10($viscosity * 1e6 + 0.7));
                $along = (log10($temperature) - log10(self::AT_40)) / (log10(self::AT_100) - log10(self::AT_40));

                return (10 ** (10 ** ($rise($at40) + $along * ($rise($at100) - $rise($at40)))) - 0.7) * 1e-6;
            },
        )
            ->input('viscosity_40', 'kinematic viscosity at 40 °C', Dimension::Viscosity)
            ->input('viscosity_100', 'kinematic viscosity at 100 °C', Dimension::Viscosity)
            ->input('temperature', 'temperature of the oil', Dimension::Temperature);
    }

    public static function dynamicViscosity(): Formula
    {
        return Formula::of(
            'oil-dynamic-viscosity', 'Dynamic viscosity of an oil', Dimension::DynamicViscosity, 'kinematic viscosity × density',
            Source::published('the definition of kinematic viscosity'),
            static fn (float $viscosity, float $density): float => $viscosity * $density,
        )
            ->input('viscosity', 'kinematic viscosity at its temperature', Dimension::Viscosity)
            ->input('density', 'density, about 0.80 g/cm³ for a mineral oil at 100 °C', Dimension::Density);
    }

    /**
     * Least film under a follower without roller, at the nose of its lobe. The line of contact wanders over the face, so the oil is
     * drawn in at half of ω·|2ρ − r|: a pointed nose draws in next to nothing.
     */
    public static function leastFilm(): Formula
    {
        return Formula::of(
            'film-at-nose', 'Least oil film at the nose', Dimension::Film,
            '2.65·R·U^0.7·G^0.54 ÷ W^0.13, U = η·u ÷ (E′·R), G = α·E′, W = F ÷ (b·E′·R), E′ = 2·E*, u = ω·|2ρ − r| ÷ 2 with the cam’s ω',
            Source::published('line contact after Dowson and Higginson, in Hamrock, Fundamentals of Fluid Film Lubrication; from memory'),
            static function (
                float $force,
                float $width,
                float $radius,
                float $nose,
                float $height,
                float $speed,
                float $viscosity,
                float $pressureViscosity,
                float $modulus,
            ): float {
                $turn = $speed / 2 * 2 * M_PI / 60;
                $drawn = $turn * abs(2 * $nose - $height) / 2;
                $both = 2 * $modulus;

                return 1e6 * 2.65 * $radius * ($viscosity * $drawn / ($both * $radius)) ** 0.7
                    * ($pressureViscosity * 1e-9 * $both) ** 0.54 / ($force / ($width * $both * $radius)) ** 0.13;
            },
        )
            ->input('force', 'force between lobe and follower', Dimension::Force)
            ->input('track_width', 'width of the track', Dimension::Length)
            ->input('contact_radius', 'radius of the two together', Dimension::Length)
            ->input('nose_radius', 'radius of the nose', Dimension::Length)
            ->input('nose_height', 'from the cam’s centre to the tip of the nose', Dimension::Length)
            ->input('engine_speed', 'speed of the crankshaft', Dimension::RotationSpeed)
            ->input('dynamic_viscosity', 'dynamic viscosity at the temperature of the contact', Dimension::DynamicViscosity)
            ->input('pressure_viscosity', 'its rise under pressure, 15 to 25 1/GPa for mineral oil', Dimension::PressureViscosity)
            ->input('contact_modulus', 'E* of both bodies, 113,000 MPa steel on steel', Dimension::Stress);
    }

    /** Film over roughness: below about 1 it is the oil’s chemistry that carries the load. */
    public static function filmRatio(): Formula
    {
        return Formula::of(
            'film-ratio', 'Film against roughness', Dimension::Ratio, 'least film ÷ √(Rq of the lobe² + Rq of the follower²)',
            Source::published('lambda ratio, any text on lubrication; from memory'),
            static fn (float $film, float $lobe, float $follower): float => $film / sqrt($lobe ** 2 + $follower ** 2),
        )
            ->input('film', 'least film', Dimension::Film)
            ->input('lobe_roughness', 'Rq of the lobe', Dimension::Film)
            ->input('follower_roughness', 'Rq of the follower’s face', Dimension::Film);
    }

    public static function meanSquareRoughness(): Formula
    {
        return Formula::of(
            'roughness-rq-from-ra', 'Rq of a surface of which only Ra is known', Dimension::Film, '1.25 × Ra',
            Source::published('usual ratio for ground surfaces, in Hamrock; from memory'),
            static fn (float $average): float => 1.25 * $average,
        )->input('average', 'Ra', Dimension::Film);
    }
}
