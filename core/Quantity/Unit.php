<?php

declare(strict_types=1);

namespace MuteTapper\Core\Quantity;

/** A unit people type or read. Factors are exact [pub: NIST SP 811]. */
enum Unit: string
{
    case Metre = 'm';
    case Millimetre = 'mm';
    case Inch = 'in';
    case Thou = 'thou';
    case Tenth = 'tenths';
    case Newton = 'N';
    case PoundForce = 'lbf';
    case KilogramForce = 'kgf';
    case NewtonPerMetre = 'N/m';
    case NewtonPerMillimetre = 'N/mm';
    case PoundForcePerInch = 'lbf/in';
    case Pascal = 'Pa';
    case Megapascal = 'MPa';
    case KilopoundPerSquareInch = 'ksi';
    /** Pressures of the bench are above the surrounding air; stresses have units of their own. */
    case PascalGauge = 'Pa(g)';
    case PoundPerSquareInch = 'psi';
    case Bar = 'bar';
    case Kilopascal = 'kPa';
    case MetrePerSecond = 'm/s';
    case KilometrePerHour = 'km/h';
    case MilePerHour = 'mph';
    case Kelvin = 'K';
    case DegreeCelsius = '°C';
    case DegreeFahrenheit = '°F';
    /** Of the crankshaft. */
    case Degree = '°';
    case SquareMetrePerSecond = 'm²/s';
    case SquareMillimetrePerSecond = 'mm²/s';
    case Kilogram = 'kg';
    case Gram = 'g';
    case CubicMetre = 'm³';
    case CubicCentimetre = 'cm³';
    case Second = 's';
    case Hertz = 'Hz';
    case PartPerMillion = 'ppm';
    case One = '1';
    case Percent = '%';
    case RevolutionPerMinute = '1/min';
    case SquareMetre = 'm²';
    case SquareCentimetre = 'cm²';
    case SquareInch = 'in²';
    case Micrometre = 'µm';
    case Microinch = 'µin';
    case PascalSecond = 'Pa·s';
    case MillipascalSecond = 'mPa·s';
    case PerGigapascal = '1/GPa';
    case KilogramPerCubicMetre = 'kg/m³';
    case GramPerCubicCentimetre = 'g/cm³';
    /** Of the camshaft. */
    case MetrePerSquareDegree = 'm/°²';
    case MillimetrePerSquareDegree = 'mm/°²';
    case InchPerSquareDegree = 'in/°²';

    private const METRES_PER_INCH = 0.0254;
    private const NEWTONS_PER_POUND_FORCE = 4.4482216152605;
    private const NEWTONS_PER_KILOGRAM_FORCE = 9.80665;
    private const CELSIUS_ZERO = 273.15;
    private const FAHRENHEIT_ZERO = 459.67 * 5 / 9;

    /** As it stands behind a figure: nothing, where it is a plain number. */
    public function symbol(): string
    {
        return $this === self::One ? '' : $this->value;
    }

    public function dimension(): Dimension
    {
        /** @var array<string, Dimension> $dimensions of each unit asked for: thousands of readings ask for the same few */
        static $dimensions = [];

        return $dimensions[$this->value] ??= match ($this) {
            self::Metre, self::Millimetre, self::Inch, self::Thou, self::Tenth => Dimension::Length,
            self::Newton, self::PoundForce, self::KilogramForce => Dimension::Force,
            self::NewtonPerMetre, self::NewtonPerMillimetre, self::PoundForcePerInch => Dimension::Stiffness,
            self::Pascal, self::Megapascal, self::KilopoundPerSquareInch => Dimension::Stress,
            self::PascalGauge, self::PoundPerSquareInch, self::Bar, self::Kilopascal => Dimension::GaugePressure,
            self::MetrePerSecond, self::KilometrePerHour, self::MilePerHour => Dimension::Velocity,
            self::Kelvin, self::DegreeCelsius, self::DegreeFahrenheit => Dimension::Temperature,
            self::Degree => Dimension::CrankAngle,
            self::SquareMetrePerSecond, self::SquareMillimetrePerSecond => Dimension::Viscosity,
            self::Kilogram, self::Gram => Dimension::Mass,
            self::CubicMetre, self::CubicCentimetre => Dimension::Volume,
            self::Second => Dimension::Time,
            self::Hertz => Dimension::Frequency,
            self::PartPerMillion => Dimension::MassFraction,
            self::One => Dimension::Ratio,
            self::Percent => Dimension::Percent,
            self::RevolutionPerMinute => Dimension::RotationSpeed,
            self::SquareMetre, self::SquareCentimetre, self::SquareInch => Dimension::Area,
            self::Micrometre, self::Microinch => Dimension::Film,
            self::PascalSecond, self::MillipascalSecond => Dimension::DynamicViscosity,
            self::PerGigapascal => Dimension::PressureViscosity,
            self::KilogramPerCubicMetre, self::GramPerCubicCentimetre => Dimension::Density,
            self::MetrePerSquareDegree, self::MillimetrePerSquareDegree, self::InchPerSquareDegree => Dimension::LiftCurvature,
        };
    }

    /** How many base units one of this unit is. */
    public function baseFactor(): float
    {
        /** @var array<string, float> $factors */
        static $factors = [];

        return $factors[$this->value] ??= match ($this) {
            self::Metre, self::Newton, self::NewtonPerMetre, self::Pascal, self::One, self::Percent, self::RevolutionPerMinute,
            self::PascalGauge, self::MetrePerSecond, self::Kelvin, self::DegreeCelsius, self::Degree, self::SquareMetrePerSecond,
            self::PartPerMillion, self::Kilogram, self::CubicMetre, self::Second, self::Hertz, self::SquareMetre, self::Micrometre,
            self::PascalSecond, self::PerGigapascal, self::KilogramPerCubicMetre, self::MetrePerSquareDegree => 1.0,
            self::Gram, self::MillipascalSecond, self::MillimetrePerSquareDegree => 0.001,
            self::SquareCentimetre => 1e-4,
            self::SquareInch => self::METRES_PER_INCH ** 2,
            self::InchPerSquareDegree, self::Microinch => self::METRES_PER_INCH,
            self::GramPerCubicCentimetre => 1000.0,
            self::CubicCentimetre => 1e-6,
            self::Millimetre => 0.001,
            self::Inch => self::METRES_PER_INCH,
            self::Thou => self::METRES_PER_INCH / 1000,
            self::Tenth => self::METRES_PER_INCH / 10000,
            self::PoundForce => self::NEWTONS_PER_POUND_FORCE,
            self::KilogramForce => self::NEWTONS_PER_KILOGRAM_FORCE,
            self::NewtonPerMillimetre => 1000.0,
            self::PoundForcePerInch => self::NEWTONS_PER_POUND_FORCE / self::METRES_PER_INCH,
            self::Megapascal => 1e6,
            self::PoundPerSquareInch => self::NEWTONS_PER_POUND_FORCE / self::METRES_PER_INCH ** 2,
            self::KilometrePerHour => 1 / 3.6,
            self::MilePerHour => 63360 * self::METRES_PER_INCH / 3600,
            self::Bar => 1e5,
            self::Kilopascal => 1000.0,
            self::DegreeFahrenheit => 5 / 9,
            self::SquareMillimetrePerSecond => 1e-6,
            self::KilopoundPerSquareInch => 1000 * self::NEWTONS_PER_POUND_FORCE / self::METRES_PER_INCH ** 2,
        };
    }

    /** What the base unit reads where this unit reads nought: temperatures alone do not start at nought. */
    public function baseOffset(): float
    {
        return match ($this) {
            self::DegreeCelsius => self::CELSIUS_ZERO,
            self::DegreeFahrenheit => self::FAHRENHEIT_ZERO,
            default => 0.0,
        };
    }

    /**
     * What a person may type for this unit, in lower case.
     *
     * @return list<string>
     */
    private function spellings(): array
    {
        return match ($this) {
            self::Millimetre => ['mm'],
            self::Inch => ['in', 'inch', 'inches', '"'],
            self::Thou => ['thou', 'mil', 'mils'],
            self::Tenth => ['tenth', 'tenths'],
            self::Newton => ['n'],
            self::PoundForce => ['lb', 'lbs', 'lbf'],
            self::KilogramForce => ['kg', 'kgf'],
            self::NewtonPerMillimetre => ['n/mm'],
            self::PoundForcePerInch => ['lb/in', 'lbs/in', 'lbf/in'],
            self::PoundPerSquareInch => ['psi'],
            self::KilometrePerHour => ['km/h', 'kmh', 'kph'],
            self::MilePerHour => ['mph'],
            self::Bar => ['bar'],
            self::Kilopascal => ['kpa'],
            self::DegreeCelsius => ['°c', 'c'],
            self::DegreeFahrenheit => ['°f', 'f'],
            self::Degree => ['°', 'deg'],
            self::SquareMillimetrePerSecond => ['mm²/s', 'mm2/s', 'cst'],
            self::Gram => ['g', 'gram', 'grams'],
            self::CubicCentimetre => ['cm³', 'cm3', 'cc', 'ml'],
            self::Second => ['s', 'sec'],
            self::Hertz => ['hz'],
            self::PartPerMillion => ['ppm'],
            self::One => [':1'],
            self::Percent => ['%'],
            self::RevolutionPerMinute => ['rpm', '1/min', '/min'],
            self::SquareCentimetre => ['cm²', 'cm2'],
            self::SquareInch => ['in²', 'in2'],
            self::Micrometre => ['µm', 'μm', 'um', 'micron', 'microns'],
            self::Microinch => ['µin', 'μin', 'uin'],
            self::MillipascalSecond => ['mpa·s', 'mpas', 'cp'],
            self::PerGigapascal => ['1/gpa'],
            self::GramPerCubicCentimetre => ['g/cm³', 'g/cm3', 'kg/l'],
            self::MillimetrePerSquareDegree => ['mm/°²', 'mm/deg2'],
            self::InchPerSquareDegree => ['in/°²', 'in/deg2'],
            self::Megapascal => ['mpa'],
            self::KilopoundPerSquareInch => ['ksi'],
            default => [],
        };
    }

    public static function spelled(string $word): ?self
    {
        $word = strtolower($word);
        foreach (self::cases() as $unit) {
            if (in_array($word, $unit->spellings(), true)) {
                return $unit;
            }
        }

        return null;
    }
}
