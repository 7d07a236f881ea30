<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Quantity;

use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\PlausibleRange;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Quantity\UnitSystem;
use MuteTapper\Core\Quantity\WrongDimension;
use PHPUnit\Framework\TestCase;

final class UnitSystemTest extends TestCase
{
    public function testFiguresAreRoundedToWhatTheGaugeResolves(): void
    {
        $length = Quantity::of(1.80049, Unit::Inch);
        self::assertSame(['1.800', '45.73'], [UnitSystem::Inch->figure($length), UnitSystem::Metric->figure($length)]);
        self::assertSame('165.1 lbf', UnitSystem::Inch->show(Quantity::of(165.06, Unit::PoundForce)));
        self::assertSame('1.56', UnitSystem::Inch->show(Quantity::of(1.56, Unit::One)));
        self::assertSame('402 lbf/in', UnitSystem::Inch->show(Quantity::of(402.4, Unit::PoundForcePerInch)));
    }

    public function testThereIsNoNegativeNothing(): void
    {
        self::assertSame('0.000', UnitSystem::Inch->figure(Quantity::of(-0.0001, Unit::Inch)));
        self::assertSame('-0.001', UnitSystem::Inch->figure(Quantity::of(-0.0006, Unit::Inch)));
    }

    public function testEveryUnitGoesThereAndBack(): void
    {
        foreach (Unit::cases() as $unit) {
            self::assertEqualsWithDelta(12.34, Quantity::of(12.34, $unit)->in($unit), 1e-12);
            self::assertSame(1.0, $unit->dimension()->baseUnit()->baseFactor());
        }
    }

    public function testNonsenseIsRefused(): void
    {
        foreach ([
            static fn () => Quantity::of(\NAN, Unit::Inch), static fn () => Quantity::of(1, Unit::Inch)->in(Unit::Newton),
            static fn () => new PlausibleRange(Quantity::base(2, Dimension::Length), Quantity::base(1, Dimension::Length)),
        ] as $nonsense) {
            try {
                $nonsense();
                self::fail('It was accepted.');
            } catch (\DomainException|WrongDimension $refusal) {
                self::assertNotSame('', $refusal->getMessage());
            }
        }
    }
}
