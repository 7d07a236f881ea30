<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

use MuteTapper\Core\Quantity\PlausibleRange;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Column;

/** A figure of the build that is stated, not measured here: the oil's, the pistons', the gasket's. */
enum BuildQuantity: string implements Column
{
    case Bore = 'bore';
    case Stroke = 'stroke';
    case RodLength = 'rod_length';
    case PinOffset = 'pin_offset';
    case IntakeValveAngle = 'intake_valve_angle';
    case ExhaustValveAngle = 'exhaust_valve_angle';
    case OilViscosity40 = 'oil_viscosity_40';
    case OilViscosity100 = 'oil_viscosity_100';
    case OilPhosphorus = 'oil_phosphorus';
    case OilZinc = 'oil_zinc';
    case GasketThickness = 'gasket_thickness';
    case DeckClearance = 'deck_clearance';

    public function code(): string
    {
        return $this->value;
    }

    public function label(): string
    {
        return match ($this) {
            self::RodLength => 'rod length',
            self::PinOffset => 'pin offset',
            self::IntakeValveAngle => 'intake valves from the cylinder axis',
            self::ExhaustValveAngle => 'exhaust valves from the cylinder axis',
            self::Bore, self::Stroke => $this->value,
            self::OilViscosity40 => 'oil viscosity at 40 °C',
            self::OilViscosity100 => 'oil viscosity at 100 °C',
            self::OilPhosphorus => 'phosphorus in the oil',
            self::OilZinc => 'zinc in the oil',
            self::GasketThickness => 'head gasket, compressed',
            self::DeckClearance => 'piston below the deck at top dead centre',
        };
    }

    public function short(): string
    {
        return $this->label();
    }

    public function part(): Part
    {
        return match ($this) {
            self::OilViscosity40, self::OilViscosity100, self::OilPhosphorus, self::OilZinc => Part::Oil,
            self::IntakeValveAngle, self::ExhaustValveAngle => Part::Chamber,
            default => Part::Piston,
        };
    }

    public function site(): Site
    {
        return Site::Engine;
    }

    public function isByCoil(): bool
    {
        return false;
    }

    public function isAtHeight(): bool
    {
        return false;
    }

    public function range(): PlausibleRange
    {
        [$least, $most, $unit] = match ($this) {
            self::Bore => [1.5, 6.0, Unit::Inch],
            self::Stroke => [1.0, 6.0, Unit::Inch],
            self::RodLength => [2.5, 10.0, Unit::Inch],
            self::PinOffset => [-0.2, 0.2, Unit::Inch],
            self::IntakeValveAngle, self::ExhaustValveAngle => [0, 45, Unit::Degree],
            self::OilViscosity40 => [5, 600, Unit::SquareMillimetrePerSecond],
            self::OilViscosity100 => [2, 60, Unit::SquareMillimetrePerSecond],
            self::OilPhosphorus, self::OilZinc => [0, 5000, Unit::PartPerMillion],
            self::GasketThickness => [0.005, 0.2, Unit::Inch],
            self::DeckClearance => [-0.1, 0.2, Unit::Inch],
        };

        return new PlausibleRange(Quantity::of($least, $unit), Quantity::of($most, $unit));
    }

    public function gauge(): string
    {
        return 'caliper';
    }

    public function isClaimable(): bool
    {
        return true;
    }
}
