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
    case One = '1';
    case Percent = '%';
    case RevolutionPerMinute = '1/min';

    private const METRES_PER_INCH = 0.0254;
    private const NEWTONS_PER_POUND_FORCE = 4.4482216152605;
    private const NEWTONS_PER_KILOGRAM_FORCE = 9.80665;

    public function dimension(): Dimension
    {
        return match ($this) {
            self::Metre, self::Millimetre, self::Inch, self::Thou, self::Tenth => Dimension::Length,
            self::Newton, self::PoundForce, self::KilogramForce => Dimension::Force,
            self::NewtonPerMetre, self::NewtonPerMillimetre, self::PoundForcePerInch => Dimension::Stiffness,
            self::Pascal, self::Megapascal, self::KilopoundPerSquareInch => Dimension::Stress,
            self::One => Dimension::Ratio,
            self::Percent => Dimension::Percent,
            self::RevolutionPerMinute => Dimension::RotationSpeed,
        };
    }

    /** How many SI units one of this unit is. */
    public function siFactor(): float
    {
        return match ($this) {
            self::Metre, self::Newton, self::NewtonPerMetre, self::Pascal, self::One, self::Percent, self::RevolutionPerMinute => 1.0,
            self::Millimetre => 0.001,
            self::Inch => self::METRES_PER_INCH,
            self::Thou => self::METRES_PER_INCH / 1000,
            self::Tenth => self::METRES_PER_INCH / 10000,
            self::PoundForce => self::NEWTONS_PER_POUND_FORCE,
            self::KilogramForce => self::NEWTONS_PER_KILOGRAM_FORCE,
            self::NewtonPerMillimetre => 1000.0,
            self::PoundForcePerInch => self::NEWTONS_PER_POUND_FORCE / self::METRES_PER_INCH,
            self::Megapascal => 1e6,
            self::KilopoundPerSquareInch => 1000 * self::NEWTONS_PER_POUND_FORCE / self::METRES_PER_INCH ** 2,
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
            self::One => [':1'],
            self::Percent => ['%'],
            self::RevolutionPerMinute => ['rpm', '1/min', '/min'],
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
