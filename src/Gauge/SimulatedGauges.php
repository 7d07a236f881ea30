<?php

declare(strict_types=1);

namespace MuteTapper\App\Gauge;

use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Columns;

/** Stands in for gauges on a cable: shows a plausible figure for what is measured, with jitter, and now and then a slip. */
final class SimulatedGauges implements GaugeFeed
{
    private const GAUGES = ['lever_tester', 'compression_gauge', 'spring_tester', 'height_micrometer', 'caliper'];
    /** One reading in so many is taken askew. */
    private const SLIP_IN = 25;

    public function has(string $gauge): bool
    {
        return in_array($gauge, self::GAUGES, true);
    }

    public function read(string $gauge, string $quantity): GaugeLine
    {
        [$middle, $jitter, $unit, $decimals] = match ($quantity) {
            'pull' => [118.0, 2.0, Unit::PoundForce, 0],
            'compression' => [176.0, 3.0, Unit::PoundPerSquareInch, 0],
            'load_seat' => [168.0, 2.5, Unit::PoundForce, 1],
            'load_open' => [412.0, 5.0, Unit::PoundForce, 1],
            'installed_height' => [1.9, 0.004, Unit::Inch, 3],
            default => $this->middleOf($quantity),
        };
        $value = $middle + $jitter * (random_int(-1000, 1000) / 1000) * (random_int(1, self::SLIP_IN) === 1 ? 8 : 1);

        return new GaugeLine($gauge, number_format($value, $decimals, '.', ''), $unit->value, true);
    }

    public function isSimulated(): bool
    {
        return true;
    }

    /** @return array{float, float, Unit, int} */
    private function middleOf(string $quantity): array
    {
        $range = Columns::find($quantity)?->range() ?? throw new \OutOfBoundsException('Nothing is called '.$quantity);
        $unit = $range->dimension()->baseUnit() === Unit::Metre ? Unit::Inch : $range->dimension()->baseUnit();
        $middle = ($range->least->in($unit) + $range->most->in($unit)) / 2;

        return [$middle, $middle / 200, $unit, 3];
    }
}
