<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Motion;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Motion\Demand;
use MuteTapper\Core\Motion\LoggedDemand;
use MuteTapper\Core\Motion\LoggedMoment;
use MuteTapper\Core\Motion\LoggedRun;
use MuteTapper\Core\Motion\SeatUnderGas;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Change;
use PHPUnit\Framework\TestCase;

/** A run as it was logged, against what the train of a valve can do. */
final class LoggedRunTest extends TestCase
{
    private const AT = 'A1-E1';

    public function testStretchesAreToldWithHowFarTheyWent(): void
    {
        $run = new LoggedRun([
            self::moment(0, 6000), self::moment(1, 7100), self::moment(2, 7480), self::moment(3, 7300), self::moment(4, 6900),
            self::moment(5, 7600),
        ], 7000.0, 7200.0, null);
        self::assertSame(
            [
                ['contact_lost', 1.0, 4.0, 7480.0], ['float', 2.0, 4.0, 7480.0], ['contact_lost', 5.0, 6.0, 7600.0],
                ['float', 5.0, 6.0, 7600.0],
            ],
            array_map(static fn (LoggedDemand $one): array => [$one->demand->value, $one->from, $one->until, $one->speed], $run->demands()),
        );
    }

    public function testTheGravestOfEachKindIsTheFastestOrTheEmptiest(): void
    {
        $demand = static fn (Demand $of, float $speed, ?float $left): LoggedDemand => new LoggedDemand(
            $of, 0, 1, $speed, 2.0, $left, false,
        );
        $demands = [
            $demand(Demand::Float, 7300, null), $demand(Demand::Float, 7480, null), $demand(Demand::Unseated, 7900, -5.0),
            $demand(Demand::Unseated, 4000, -40.0), $demand(Demand::Float, 7400, null),
        ];
        self::assertSame([$demands[1], $demands[3]], LoggedRun::gravest($demands));
        self::assertSame([], LoggedRun::gravest([]));
    }

    public function testWhatIsNotKnownIsNotAskedFor(): void
    {
        self::assertSame([], (new LoggedRun([self::moment(0, 9900, 3.0)], null, null, null))->demands());
        $seat = self::seat();
        self::assertSame([], (new LoggedRun([self::moment(0, 9900)], null, null, $seat))->demands());
    }

    /** The bench’s own seat load left, at the pressure of the moment: and gone beyond the pressure that the sheet names for it. */
    public function testGasBeatsTheSeatWhereTheSheetSaysSo(): void
    {
        $bench = Train::fill(Train::bucketFour(), self::AT)->bench();
        $empty = $bench->value(self::AT, 'emptying_pressure');
        self::assertInstanceOf(Given::class, $empty);
        $bar = $empty->value->quantity()->in(Unit::Bar);
        $seat = self::seat();
        self::assertEqualsWithDelta(0.0, $seat->left($bar), 1e-6);
        $change = Change::none()->setting([self::AT], 'port_pressure', Quantity::of(1.7, Unit::Bar));
        $tried = $bench->with($change)->value(self::AT, 'seat_load_left');
        self::assertInstanceOf(Given::class, $tried);
        self::assertEqualsWithDelta($tried->value->base, $seat->left(1.7), 1e-6);

        $run = new LoggedRun([
            self::moment(0, 5000, $bar - 0.1, 100.0), self::moment(1, 5200, $bar + 0.4, 2.0), self::moment(2, 5100, $bar + 0.2, 3.0),
            self::moment(3, 4000, 0.2, 3.0), self::moment(4, 5000, $bar + 0.1, 60.0),
        ], null, null, $seat);
        $found = $run->demands();
        self::assertSame([Demand::Unseated, Demand::Unseated], array_map(static fn (LoggedDemand $one): Demand => $one->demand, $found));
        self::assertSame([true, false], array_map(static fn (LoggedDemand $one): bool => $one->isOverRun, $found));
        self::assertEqualsWithDelta($bar + 0.4, $found[0]->pressure, 1e-9);
        self::assertEqualsWithDelta($seat->left($bar + 0.4), $found[0]->left, 1e-9);
    }

    public function testWithoutALoadOnTheSeatNothingIsLeftToTell(): void
    {
        self::assertNull(SeatUnderGas::of(Train::bucketFour()->bench(), self::AT));
    }

    private static function seat(): SeatUnderGas
    {
        return SeatUnderGas::of(Train::fill(Train::bucketFour(), self::AT)->bench(), self::AT) ?? self::fail('Its seat is known.');
    }

    private static function moment(float $at, float $speed, ?float $pressure = null, ?float $throttle = null): LoggedMoment
    {
        return new LoggedMoment($at, $at + 1, $speed - 200, $speed, $pressure, $throttle);
    }
}
