<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Quantity\PlausibleRange;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Column;

/** A quantity of the spring sheet: what may be typed into it, and the gauge it usually comes from. */
enum SheetColumn: string implements Column
{
    case FreeHeight = 'free_height';
    case SeatLoad = 'load_seat';
    case OpenLoad = 'load_open';
    case BindHeight = 'bind_height';
    case OutsideDiameter = 'outside_diameter';
    case InsideDiameter = 'inside_diameter';
    case InstalledHeight = 'installed_height';
    case Shims = 'shims';
    case LobeLift = 'lobe_lift';
    case Ratio = 'ratio';
    case Lash = 'lash';
    case NetLift = 'net_lift';
    case PocketDiameter = 'pocket_diameter';
    case SealHeight = 'seal_height';
    case SealHeightFromHead = 'seal_height_from_head';
    case RetainerDepth = 'retainer_depth';
    case InnerStep = 'inner_step';

    public function code(): string
    {
        return $this->value;
    }

    public function site(): Site
    {
        return Site::Station;
    }

    public function label(): string
    {
        return match ($this) {
            self::SeatLoad => 'seat load',
            self::OpenLoad => 'open load',
            self::Shims => 'shims and locator',
            self::Ratio => 'rocker ratio',
            self::SealHeight => 'seal or guide top, above the spring seat',
            self::SealHeightFromHead => 'seal or guide top, above the bare head',
            self::InnerStep => 'retainer step to the inner spring',
            default => str_replace('_', ' ', $this->value),
        };
    }

    public function short(): string
    {
        return match ($this) {
            self::OutsideDiameter => 'outside dia.',
            self::InsideDiameter => 'inside dia.',
            self::PocketDiameter => 'pocket dia.',
            self::SealHeight => 'seal top',
            self::SealHeightFromHead => 'seal top from head',
            self::InnerStep => 'inner step',
            self::Shims => 'shims, locator',
            default => $this->label(),
        };
    }

    public function part(): Part
    {
        return match ($this) {
            self::FreeHeight, self::SeatLoad, self::OpenLoad, self::BindHeight, self::OutsideDiameter, self::InsideDiameter => Part::Spring,
            self::InstalledHeight, self::Shims, self::PocketDiameter => Part::SpringSeat,
            self::LobeLift => Part::Lobe,
            self::Ratio => Part::Rocker,
            self::Lash, self::NetLift => Part::Valve,
            self::SealHeight, self::SealHeightFromHead => Part::Seal,
            self::RetainerDepth, self::InnerStep => Part::Retainer,
        };
    }

    public function isByCoil(): bool
    {
        return $this->part() === Part::Spring;
    }

    public function isAtHeight(): bool
    {
        return $this === self::SeatLoad || $this === self::OpenLoad;
    }

    public function range(): PlausibleRange
    {
        [$least, $most, $unit] = match ($this) {
            self::FreeHeight => [0.8, 4.0, Unit::Inch],
            self::SeatLoad => [3, 600, Unit::PoundForce],
            self::OpenLoad => [20, 1500, Unit::PoundForce],
            self::BindHeight => [0.4, 2.5, Unit::Inch],
            self::OutsideDiameter => [0.5, 2.5, Unit::Inch],
            self::InsideDiameter => [0.3, 2.2, Unit::Inch],
            self::InstalledHeight => [0.7, 3.0, Unit::Inch],
            self::Shims => [0.0, 0.35, Unit::Inch],
            self::LobeLift => [0.1, 0.8, Unit::Inch],
            self::Ratio => [0.8, 2.6, Unit::One],
            self::Lash => [0.0, 0.06, Unit::Inch],
            self::NetLift => [0.12, 1.2, Unit::Inch],
            self::PocketDiameter => [0.6, 3.0, Unit::Inch],
            self::SealHeight => [0.0, 1.6, Unit::Inch],
            self::SealHeightFromHead => [0.0, 1.8, Unit::Inch],
            self::RetainerDepth => [-0.3, 0.8, Unit::Inch],
            self::InnerStep => [-0.3, 0.5, Unit::Inch],
        };

        return new PlausibleRange(Quantity::of($least, $unit), Quantity::of($most, $unit));
    }

    /** The test height of a load. */
    public static function testHeightRange(): PlausibleRange
    {
        return new PlausibleRange(Quantity::of(0.4, Unit::Inch), Quantity::of(3.5, Unit::Inch));
    }

    public function gauge(): string
    {
        return match ($this) {
            self::SeatLoad, self::OpenLoad => 'spring_tester',
            self::InstalledHeight, self::BindHeight => 'height_micrometer',
            self::LobeLift, self::NetLift => 'dial_indicator',
            self::Lash => 'feeler',
            self::Ratio => 'ratio_from_lifts',
            default => 'caliper',
        };
    }

    public function isClaimable(): bool
    {
        return match ($this) {
            self::Ratio, self::SealHeightFromHead, self::InnerStep => false,
            default => true,
        };
    }

    public function slot(string $place, ?string $coil): Slot
    {
        return new Slot($place, $this->part()->value, $this->value, $this->isByCoil() ? $coil ?? 'outer' : null);
    }
}
