<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Quantity;

use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\DivisionByNothing;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\WrongDimension;
use PHPUnit\Framework\TestCase;

final class UncertainTest extends TestCase
{
    /** @param array<string, float> $u */
    private static function length(float $base, array $u): Uncertain
    {
        return Uncertain::of(Quantity::base($base, Dimension::Length), $u);
    }

    public function testIndependentSourcesAddInSquares(): void
    {
        $sum = self::length(1, ['a' => 3.0])->plus(self::length(2, ['b' => 4.0]));
        self::assertSame(3.0, $sum->base);
        self::assertEqualsWithDelta(5.0, $sum->standard(), 1e-12);
    }

    public function testASharedSourceCancelsInADifference(): void
    {
        $difference = self::length(5, ['zero' => 0.3, 'x' => 0.1])->minus(self::length(2, ['zero' => 0.3, 'y' => 0.1]));
        self::assertEqualsWithDelta(sqrt(0.02), $difference->standard(), 1e-12);
    }

    public function testACommonGainLeavesARatioExact(): void
    {
        $ratio = self::length(10, ['gain' => 0.2])->dividedBy(self::length(5, ['gain' => 0.1]), Dimension::Ratio);
        self::assertSame(2.0, $ratio->base);
        self::assertEqualsWithDelta(0.0, $ratio->standard(), 1e-12);
    }

    public function testPropagationAgreesWithSampling(): void
    {
        mt_srand(11);
        $a = self::length(3.0, ['a' => 0.02]);
        $b = self::length(1.2, ['b' => 0.01]);
        $result = $a->times($b, Dimension::Ratio)->dividedBy($b->toThe(2, Dimension::Ratio), Dimension::Ratio);
        $samples = [];
        for ($i = 0; $i < 20000; ++$i) {
            $x = 3.0 + 0.02 * self::normal();
            $y = 1.2 + 0.01 * self::normal();
            $samples[] = $x * $y / $y ** 2;
        }
        $mean = array_sum($samples) / \count($samples);
        $spread = sqrt(array_sum(array_map(static fn (float $s): float => ($s - $mean) ** 2, $samples)) / (\count($samples) - 1));
        self::assertEqualsWithDelta($spread, $result->standard(), 0.03 * $spread);
    }

    public function testMedianTakesTheMiddleWithItsUncertainty(): void
    {
        $odd = Uncertain::median([self::length(3, ['c' => 0.3]), self::length(1, ['a' => 0.1]), self::length(2, ['b' => 0.2])]);
        self::assertSame([2.0, 0.2], [$odd->base, $odd->standard()]);
        $even = Uncertain::median(
            [self::length(1, ['a' => 0.6]), self::length(4, ['d' => 9]), self::length(2, ['b' => 0.8]), self::length(0, [])],
        );
        self::assertSame(1.5, $even->base);
        self::assertEqualsWithDelta(0.5, $even->standard(), 1e-12);
    }

    public function testAddingALengthToAForceIsRefused(): void
    {
        $this->expectException(WrongDimension::class);
        self::length(1, [])->plus(Uncertain::exact(Quantity::base(1, Dimension::Force)));
    }

    public function testDividingByNothingIsRefused(): void
    {
        $this->expectException(DivisionByNothing::class);
        self::length(1, [])->dividedBy(self::length(0, []), Dimension::Ratio);
    }

    private static function normal(): float
    {
        return sqrt(-2 * log(mt_rand(1, 1000000) / 1000001)) * cos(2 * \M_PI * mt_rand(0, 999999) / 1000000);
    }
}
