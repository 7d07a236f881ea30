<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Calculation;

use MuteTapper\Core\Assessment\Calculations;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Quantity\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Facts of the trade, common practice without a published source, and one textbook example from memory. */
final class CheckValuesTest extends TestCase
{
    /** @param array<string, mixed> $input */
    private static function run1(string $name, array $input, Unit $unit): float
    {
        $calculation = Calculations::named($name);
        self::assertNotNull($calculation);

        return Calculations::run($calculation, Node::root($input))->result->quantity()->in($unit);
    }

    /** @return array{number: float, unit: string} */
    private static function q(float $number, string $unit): array
    {
        return ['number' => $number, 'unit' => $unit];
    }

    /** @return iterable<array{float, float, float}> seat and open load over 0.511 in of travel, rate in lbf/in */
    public static function rates(): iterable
    {
        yield [56, 157, 197];
        yield [65, 171, 208];
        yield [123, 281, 308];
        yield [118, 286, 329];
    }

    #[DataProvider('rates')]
    public function testSpringRateFromTwoLoads(float $seat, float $open, float $rate): void
    {
        $computed = self::run1(
            'spring-rate-from-two-loads',
            [
                'load_seat' => self::q($seat, 'lbf'), 'height_seat' => self::q(1.8, 'in'), 'load_open' => self::q($open, 'lbf'),
                'height_open' => self::q(1.8 - 0.511, 'in'),
            ],
            Unit::PoundForcePerInch,
        );
        self::assertEqualsWithDelta($rate, $computed, 0.01 * $rate);
    }

    public function testStemInGuide(): void
    {
        $clearance = self::run1(
            'stem-in-guide', ['guide_bore' => self::q(0.3438, 'in'), 'stem_diameter' => self::q(0.3420, 'in')], Unit::Inch,
        );
        self::assertEqualsWithDelta(0.0018, $clearance, 1e-9);
    }

    public function testALocatorTakesItsThicknessFromTheLift(): void
    {
        self::assertEqualsWithDelta(
            0.550,
            self::run1('usable-lift', ['rated_lift' => self::q(0.600, 'in'), 'thickness' => self::q(0.050, 'in')], Unit::Inch), 1e-9,
        );
    }

    public function testGrowth(): void
    {
        self::assertEqualsWithDelta(
            -0.015,
            self::run1('clearance-after-growth', ['cold_clearance' => self::q(0.035, 'in'), 'growth' => self::q(0.050, 'in')], Unit::Inch),
            1e-9,
        );
    }

    public function testSquarenessLimitOfAFreeHeight(): void
    {
        // tan 2° = 0.03492. [pub: any table of tangents; from memory]
        self::assertEqualsWithDelta(
            1.92 * 0.03492,
            self::run1('spring-squareness-limit', ['free_height' => self::q(1.92, 'in')], Unit::Inch), 1e-5,
        );
    }

    /** A load survey: most 115 to 120, one 110 and one 125 are all good; one at 80 has failed. */
    public function testALoadSurvey(): void
    {
        $loads = [115, 116, 117, 118, 118, 119, 119, 120, 120, 116, 117, 118, 115, 110, 125, 80];
        $list = array_map(static fn (float $load): array => self::q($load, 'lbf'), $loads);
        $middle = self::run1('middle-value', ['loads' => $list], Unit::PoundForce);
        $bad = array_filter(
            $loads,
            static fn (float $load): bool => abs(
                self::run1('load-departure', ['load' => self::q($load, 'lbf'), 'reference' => self::q($middle, 'lbf')], Unit::Percent),
            ) > 10,
        );
        self::assertSame([80], array_values($bad));
    }

    /**
     * Shigley, Mechanical Engineering Design, example 10–1 (from memory): music wire 0.037 in, mean diameter 0.400 in as the book rounds
     * it, 10.5 active coils, G = 11.85 Mpsi: k = 4.13 lbf/in.
     */
    public function testRateOfAWorkedExample(): void
    {
        $rate = self::run1('spring-rate-from-geometry', [
            'shear_modulus' => self::q(11850, 'ksi'), 'wire_diameter' => self::q(0.037, 'in'), 'mean_diameter' => self::q(0.400, 'in'),
            'active_coils' => self::q(10.5, '1'),
        ], Unit::PoundForcePerInch);
        self::assertEqualsWithDelta(4.13, $rate, 0.01);
    }

    /**
     * At an index of 6 Wahl's factor is tabulated as 1.2525, and 8·F·D/(π·d³) is 95.49 MPa. [pub: A. M. Wahl, Mechanical Springs; from
     * memory].
     */
    public function testShearStressFollowsWahl(): void
    {
        $stress = self::run1(
            'spring-shear-stress',
            ['load' => self::q(100, 'N'), 'wire_diameter' => self::q(4, 'mm'), 'mean_diameter' => self::q(24, 'mm')], Unit::Megapascal,
        );
        self::assertEqualsWithDelta(1.2525 * 95.493, $stress, 0.001);
    }

    public function testEveryCalculationIsDeclaredInFull(): void
    {
        $names = [];
        foreach (Calculations::all() as $calculation) {
            $names[] = $calculation->name();
            self::assertMatchesRegularExpression('/^[a-z]+(-[a-z]+)*$/', $calculation->name());
            self::assertNotSame('', $calculation->formula());
            self::assertContains($calculation->source()->mark, ['pub', 'practice', 'own']);
        }
        self::assertSame($names, array_unique($names));
    }

    public function testWrongInputIsNamedByItsPlace(): void
    {
        $calculation = Calculations::named('usable-lift');
        self::assertNotNull($calculation);
        foreach ([
            [['rated_lift' => self::q(1, 'lbf')], '/rated_lift/unit'], [['rated_lift' => self::q(1, 'in')], '/thickness'],
            [['rated_lift' => ['number' => 'x', 'unit' => 'in']], '/rated_lift/number'],
        ] as [$input, $pointer]) {
            try {
                Calculations::run($calculation, Node::root($input));
                self::fail('It was accepted.');
            } catch (BadDocument $problem) {
                self::assertStringStartsWith($pointer, $problem->pointer);
            }
        }
    }
}
