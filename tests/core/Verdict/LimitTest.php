<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Verdict;

use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Verdict\Limit;
use MuteTapper\Core\Verdict\MarginScale;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LimitTest extends TestCase
{
    private static function inch(float $value, float $standard): Uncertain
    {
        return Uncertain::of(Quantity::of($value, Unit::Inch), ['reading' => $standard * 0.0254]);
    }

    private static function bind(string $school = 'usual'): Limit
    {
        return Example::knowledge()->limits->of('travel_to_bind')->ruledBy($school);
    }

    /** @return iterable<string, array{float, float, Verdict}> value, standard uncertainty, verdict against at least 0.060 */
    public static function verdicts(): iterable
    {
        yield 'well inside' => [0.088, 0.0015, Verdict::Inside];
        yield 'sure, but inside the caution band' => [0.068, 0.0015, Verdict::InsideClose];
        yield 'probably inside' => [0.062, 0.0015, Verdict::InsideClose];
        yield 'cannot tell' => [0.061, 0.003, Verdict::CannotTell];
        yield 'on the limit' => [0.060, 0.0015, Verdict::CannotTell];
        yield 'probably outside' => [0.058, 0.0015, Verdict::OutsideClose];
        yield 'outside' => [0.052, 0.0015, Verdict::Outside];
        yield 'exact and inside' => [0.088, 0.0, Verdict::Inside];
        yield 'exact and outside' => [0.0599, 0.0, Verdict::Outside];
    }

    #[DataProvider('verdicts')]
    public function testVerdictByProbability(float $value, float $standard, Verdict $expected): void
    {
        self::assertSame($expected, self::bind()->verdict(self::inch($value, $standard)));
    }

    /** Law: more margin never makes a verdict worse. */
    public function testProbabilityGrowsWithTheMargin(): void
    {
        $before = 0.0;
        for ($value = 0.0; $value < 0.12; $value += 0.001) {
            $good = self::bind()->probabilityGood(self::inch($value, 0.002));
            self::assertGreaterThanOrEqual($before, $good);
            $before = $good;
        }
        self::assertGreaterThan(0.999, $before);
    }

    public function testSchoolsDifferOnTheSameMargin(): void
    {
        $value = self::inch(0.055, 0.0005);
        self::assertSame(Verdict::Inside, self::bind('production')->verdict($value));
        self::assertSame(Verdict::InsideClose, self::bind('close')->verdict($value));
        self::assertSame(Verdict::Outside, self::bind('usual')->verdict($value));
        self::assertSame(Verdict::Outside, self::bind('roomy')->verdict($value));
    }

    public function testADualSpringHasNoProductionSchool(): void
    {
        $limit = self::bind('production')->without('production');
        self::assertSame('close', $limit->ruling);
        self::assertArrayNotHasKey('production', $limit->schools);
        self::assertEqualsWithDelta(0.050, $limit->leastDemanding()->in(Unit::Inch), 1e-12);
    }

    public function testATwoSidedLimitCatchesBothSides(): void
    {
        $limit = Example::knowledge()->limits->of('load_from_claim');
        $percent = static fn (float $value): Uncertain => Uncertain::of(Quantity::base($value, Dimension::Percent), ['reading' => 0.5]);
        self::assertSame(Verdict::Outside, $limit->verdict($percent(-14)));
        self::assertSame(Verdict::Outside, $limit->verdict($percent(14)));
        self::assertSame(Verdict::Inside, $limit->verdict($percent(-4)));
        self::assertSame(Verdict::CannotTell, $limit->verdict($percent(-10)));
    }

    /** A school that sets a limit for exhausts alone can be chosen too. */
    public function testASchoolOfOneKindAlone(): void
    {
        $limit = Example::knowledge()->limits->of('valve_margin');
        self::assertTrue($limit->isSetBy('practice'));
        self::assertTrue($limit->isSetBy('race'));
        self::assertFalse($limit->isSetBy('roomy'));
        self::assertEqualsWithDelta(0.045, $limit->ofKind(ValveKind::Exhaust)->ruledBy('race')->value()->in(Unit::Inch), 1e-12);
        self::assertEqualsWithDelta(0.030, $limit->ofKind(ValveKind::Intake)->ruledBy('race')->value()->in(Unit::Inch), 1e-12);
    }

    public function testTheNotchStandsAtTheSamePlaceWhateverTheLimit(): void
    {
        foreach (['close', 'usual', 'roomy'] as $school) {
            self::assertSame(0.34, MarginScale::of(self::bind($school), null)->notch);
        }
        $scale = MarginScale::of(self::bind(), self::inch(0.060, 0.001));
        self::assertEqualsWithDelta(0.34, $scale->value, 1e-9);
        self::assertGreaterThan($scale->low, $scale->high);
        self::assertSame('high', MarginScale::of(self::bind(), self::inch(0.9, 0.001))->offScale);
        self::assertSame('low', MarginScale::of(self::bind(), self::inch(-0.2, 0.001))->offScale);
        self::assertSame(['production', 'close', 'roomy'], array_column($scale->others, 'school'));
    }
}
