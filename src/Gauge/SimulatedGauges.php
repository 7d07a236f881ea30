<?php

declare(strict_types=1);

namespace MuteTapper\App\Gauge;

use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Quantity\UnitSystem;
use Random\Engine;
use Random\Engine\Secure;
use Random\Randomizer;

/**
 * Stands in for gauges on a cable: any gauge of the library that can send shows a figure such as one meets of what is measured, with
 * jitter,
 * and now and then a slip. The same engine of chance gives the same readings.
 */
final readonly class SimulatedGauges implements GaugeFeed
{
    /** One reading in so many is taken askew. */
    private const SLIP_IN = 25;
    private const SLIP = 8.0;
    /** Parts of one kind scatter so far around their usual figure. */
    private const SCATTER = 0.01;

    private Randomizer $chance;

    public function __construct(private KnowledgeFiles $knowledge, ?Engine $engine = null)
    {
        $this->chance = new Randomizer($engine ?? new Secure());
    }

    public function has(string $gauge): bool
    {
        return $this->knowledge->gauge($gauge)->isOnCable ?? false;
    }

    public function read(string $gauge, string $quantity): GaugeReadingView
    {
        $column = AllSheets::get()->columns[$quantity] ?? throw new \OutOfBoundsException('Nothing is called '.$quantity);
        $unit = UnitSystem::Inch->unitOf($column->dimension());
        $usual = $column->range->example()->in($unit);
        // What runs in a bore scatters by tenths, not by hundredths of itself.
        $scatter = abs($usual) * ($column->fineness === Fineness::Usual ? self::SCATTER : self::SCATTER / 20);
        $slip = $this->chance->getInt(1, self::SLIP_IN) === 1 ? self::SLIP : 1.0;
        $value = max(
            $column->range->least->in($unit),
            min($column->range->most->in($unit), $usual + $scatter * $slip * $this->chance->getInt(-1000, 1000) / 1000),
        );

        return new GaugeReadingView(
            $gauge,
            number_format($value, UnitSystem::Inch->decimalsOf($column->dimension(), $column->fineness), '.', ''), $unit->value, true,
        );
    }

    public function isSimulated(): bool
    {
        return true;
    }
}
