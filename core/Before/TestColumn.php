<?php

declare(strict_types=1);

namespace MuteTapper\Core\Before;

use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Quantity\PlausibleRange;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Column;

/** A quantity measured on the assembled engine. Several readings of one are told apart by the slot's index. */
enum TestColumn: string implements Column
{
    case Compression = 'compression';
    case LeakDown = 'leak_down';
    case OilPressure = 'oil_pressure';
    case CamPhaseCard = 'cam_phase_card';
    case CamPhaseFound = 'cam_phase_found';
    case LashTemperature = 'lash_temperature';
    case Pull = 'pull';

    public function code(): string
    {
        return $this->value;
    }

    public function label(): string
    {
        return match ($this) {
            self::LeakDown => 'leak-down',
            self::OilPressure => 'oil pressure',
            self::CamPhaseCard => 'cam phase on the card',
            self::CamPhaseFound => 'cam phase found',
            self::LashTemperature => 'head temperature at the lash reading',
            self::Pull => 'seat-load pull',
            self::Compression => 'compression',
        };
    }

    public function short(): string
    {
        return match ($this) {
            self::CamPhaseCard => 'on the card',
            self::CamPhaseFound => 'found',
            self::LashTemperature => 'head temperature',
            self::Pull => 'pull',
            default => $this->label(),
        };
    }

    public function part(): Part
    {
        return match ($this) {
            self::Compression, self::LeakDown => Part::Chamber,
            self::OilPressure => Part::Oil,
            self::CamPhaseCard, self::CamPhaseFound => Part::Timing,
            self::LashTemperature, self::Pull => Part::Valve,
        };
    }

    public function site(): Site
    {
        return match ($this) {
            self::Compression, self::LeakDown => Site::Cylinder,
            self::Pull => Site::Station,
            self::OilPressure, self::CamPhaseCard, self::CamPhaseFound, self::LashTemperature => Site::Engine,
        };
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
            self::Compression => [0, 400, Unit::PoundPerSquareInch],
            self::LeakDown => [0, 100, Unit::Percent],
            self::OilPressure => [0, 200, Unit::PoundPerSquareInch],
            self::CamPhaseCard, self::CamPhaseFound => [-180, 720, Unit::Degree],
            self::LashTemperature => [-40, 200, Unit::DegreeCelsius],
            self::Pull => [3, 600, Unit::PoundForce],
        };

        return new PlausibleRange(Quantity::of($least, $unit), Quantity::of($most, $unit));
    }

    public function gauge(): string
    {
        return match ($this) {
            self::Compression => 'compression_gauge',
            self::LeakDown => 'leak_tester',
            self::OilPressure => 'pressure_gauge',
            self::CamPhaseCard, self::CamPhaseFound => 'degree_wheel',
            self::LashTemperature => 'thermometer',
            self::Pull => 'lever_tester',
        };
    }

    public function isClaimable(): bool
    {
        return false;
    }

    public function slot(string $place, ?string $index = null): Slot
    {
        return new Slot($place, $this->part()->value, $this->value, $index);
    }
}
