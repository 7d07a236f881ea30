<?php

declare(strict_types=1);

namespace MuteTapper\Core\Quantity;

/** What kind of quantity a number is. Values inside the core are always in the dimension's base unit. */
enum Dimension: string
{
    case Length = 'length';
    case Force = 'force';
    case Stiffness = 'stiffness';
    case Stress = 'stress';
    case Velocity = 'road_speed';
    case GaugePressure = 'pressure';
    case Temperature = 'temperature';
    case CrankAngle = 'crank_angle';
    case Viscosity = 'viscosity';
    case Mass = 'mass';
    case Volume = 'volume';
    case Time = 'time';
    case Frequency = 'frequency';
    case MassFraction = 'mass_fraction';
    case Ratio = 'ratio';
    case Percent = 'percent';
    case RotationSpeed = 'rotation_speed';
    case Area = 'area';
    /** Films and roughness: lengths too small for a gauge of the bench. */
    case Film = 'film';
    case DynamicViscosity = 'dynamic_viscosity';
    case PressureViscosity = 'pressure_viscosity';
    case Density = 'density';
    /** How sharply a lift curve bends, over degrees of its cam. */
    case LiftCurvature = 'lift_curvature';

    public function baseUnit(): Unit
    {
        return match ($this) {
            self::Length => Unit::Metre,
            self::Force => Unit::Newton,
            self::Stiffness => Unit::NewtonPerMetre,
            self::Stress => Unit::Pascal,
            self::Velocity => Unit::MetrePerSecond,
            self::GaugePressure => Unit::PascalGauge,
            self::Temperature => Unit::Kelvin,
            self::CrankAngle => Unit::Degree,
            self::Viscosity => Unit::SquareMetrePerSecond,
            self::Mass => Unit::Kilogram,
            self::Volume => Unit::CubicMetre,
            self::Time => Unit::Second,
            self::Frequency => Unit::Hertz,
            self::MassFraction => Unit::PartPerMillion,
            self::Ratio => Unit::One,
            self::Percent => Unit::Percent,
            self::RotationSpeed => Unit::RevolutionPerMinute,
            self::Area => Unit::SquareMetre,
            self::Film => Unit::Micrometre,
            self::DynamicViscosity => Unit::PascalSecond,
            self::PressureViscosity => Unit::PerGigapascal,
            self::Density => Unit::KilogramPerCubicMetre,
            self::LiftCurvature => Unit::MetrePerSquareDegree,
        };
    }
}
