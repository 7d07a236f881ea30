<?php

declare(strict_types=1);

namespace MuteTapper\Core\Quantity;

/** The units in which a case is shown and typed by default. */
enum UnitSystem: string
{
    case Inch = 'inch';
    case Metric = 'metric';

    public function unitOf(Dimension $dimension): Unit
    {
        return match ([$this, $dimension]) {
            [self::Inch, Dimension::Length] => Unit::Inch,
            [self::Metric, Dimension::Length] => Unit::Millimetre,
            [self::Inch, Dimension::Force] => Unit::PoundForce,
            [self::Metric, Dimension::Force] => Unit::Newton,
            [self::Inch, Dimension::Stiffness] => Unit::PoundForcePerInch,
            [self::Metric, Dimension::Stiffness] => Unit::NewtonPerMillimetre,
            [self::Inch, Dimension::Stress] => Unit::KilopoundPerSquareInch,
            [self::Metric, Dimension::Stress] => Unit::Megapascal,
            [self::Inch, Dimension::GaugePressure] => Unit::PoundPerSquareInch,
            [self::Metric, Dimension::GaugePressure] => Unit::Bar,
            [self::Inch, Dimension::Velocity] => Unit::MilePerHour,
            [self::Metric, Dimension::Velocity] => Unit::KilometrePerHour,
            [self::Inch, Dimension::Temperature] => Unit::DegreeFahrenheit,
            [self::Metric, Dimension::Temperature] => Unit::DegreeCelsius,
            [self::Inch, Dimension::Viscosity], [self::Metric, Dimension::Viscosity] => Unit::SquareMillimetrePerSecond,
            [self::Inch, Dimension::Mass], [self::Metric, Dimension::Mass] => Unit::Gram,
            [self::Inch, Dimension::Area] => Unit::SquareInch,
            [self::Metric, Dimension::Area] => Unit::SquareCentimetre,
            [self::Inch, Dimension::LiftCurvature] => Unit::InchPerSquareDegree,
            [self::Metric, Dimension::LiftCurvature] => Unit::MillimetrePerSquareDegree,
            [self::Inch, Dimension::DynamicViscosity], [self::Metric, Dimension::DynamicViscosity] => Unit::MillipascalSecond,
            [self::Inch, Dimension::Density], [self::Metric, Dimension::Density] => Unit::GramPerCubicCentimetre,
            [self::Inch, Dimension::Volume], [self::Metric, Dimension::Volume] => Unit::CubicCentimetre,
            default => $dimension->baseUnit(),
        };
    }

    /** The unit in which figures of this fineness are shown. */
    public function shownIn(Dimension $dimension, Fineness $fineness): Unit
    {
        return $this === self::Inch && $dimension === Dimension::Length && $fineness === Fineness::Tenths
            ? Unit::Tenth
            : $this->unitOf($dimension);
    }

    /** Decimals that a bench gauge resolves in this system's unit. */
    public function decimalsOf(Dimension $dimension, Fineness $fineness = Fineness::Usual): int
    {
        if ($fineness === Fineness::Counted) {
            return 0;
        }
        if ($dimension === Dimension::Length) {
            return match ([$this, $fineness]) {
                [self::Inch, Fineness::Usual], [self::Metric, Fineness::Fine], [self::Metric, Fineness::Tenths] => 3,
                [self::Inch, Fineness::Fine] => 4,
                [self::Inch, Fineness::Tenths] => 0,
                default => 2,
            };
        }

        return match ([$this, $dimension]) {
            [self::Inch, Dimension::Force], [self::Metric, Dimension::Stiffness] => 1,
            [self::Metric, Dimension::Force], [self::Inch, Dimension::Stiffness] => 0,
            default => match ($dimension) {
                Dimension::LiftCurvature => $this === self::Metric ? 6 : 7,
                Dimension::Area, Dimension::Density => 3,
                Dimension::Ratio, Dimension::Film => 2,
                Dimension::Percent, Dimension::CrankAngle, Dimension::Viscosity, Dimension::Mass, Dimension::Volume,
                Dimension::Time, Dimension::DynamicViscosity, Dimension::PressureViscosity => 1,
                Dimension::GaugePressure => $this === self::Metric ? 1 : 0,
                default => 0,
            },
        };
    }

    /** The quantity as a figure in this system's unit, rounded to what the gauge resolves, without the unit. */
    public function figure(Quantity $quantity, int $extraDecimals = 0, Fineness $fineness = Fineness::Usual): string
    {
        $decimals = $this->decimalsOf($quantity->dimension, $fineness) + $extraDecimals;
        $figure = number_format($quantity->in($this->shownIn($quantity->dimension, $fineness)), $decimals, '.', '');

        return preg_match('/^-0(\.0*)?$/', $figure) === 1 ? substr($figure, 1) : $figure;
    }

    public function show(Quantity $quantity, Fineness $fineness = Fineness::Usual): string
    {
        $unit = $this->shownIn($quantity->dimension, $fineness);

        return $this->figure($quantity, 0, $fineness).($unit === Unit::One ? '' : ' '.$unit->value);
    }
}
