<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Spring;

use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Spring\MoreOrLess;
use MuteTapper\Core\Verdict\Margin;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Motion\Train;
use PHPUnit\Framework\TestCase;

/** Both sides of the question whether a spring should be stronger. */
final class MoreOrLessTest extends TestCase
{
    /** The bound follows the root of the load, and so does the stress: what one side wins the other loses. */
    public function testEachSideFollowsTheRootOfTheLoad(): void
    {
        $rows = MoreOrLess::on(Train::fill(Train::bucketFour(), 'A1-E1')->bench());
        self::assertSame(MoreOrLess::STEPS, array_map(static fn (MoreOrLess $row): int => $row->percent, $rows));
        [$as] = array_values(array_filter($rows, static fn (MoreOrLess $row): bool => $row->percent === 0));
        foreach ($rows as $row) {
            $root = sqrt(1 + $row->percent / 100);
            self::assertSame(ValveKind::Exhaust, $row->kind);
            self::assertEqualsWithDelta($as->openLoad->base * $root ** 2, $row->openLoad->base, 1e-9);
            foreach (['bound_over_speed', 'sliding_nose_stress'] as $value) {
                $now = self::figure($as, $value);
                self::assertEqualsWithDelta($now * $root, self::figure($row, $value), 1e-4 * $now);
            }
        }
    }

    public function testTheVerdictTurnsWithTheLoad(): void
    {
        $rows = MoreOrLess::on(Train::fill(Train::bucketFour(), 'A1-E1')->bench());
        $verdicts = array_map(static fn (MoreOrLess $row): ?Verdict => self::of($row, 'bound_over_speed')?->verdict, $rows);
        self::assertSame(Verdict::Outside, $verdicts[0]);
        self::assertSame(Verdict::Inside, $verdicts[4]);
    }

    public function testEachMarginIsThatOfTheValveWhereItIsWorst(): void
    {
        $example = Train::fill(Train::fill(Train::bucketFour(), 'A1-E1'), 'A2-E2', '60', '140');
        $row = MoreOrLess::on($example->bench())[2];
        self::assertSame('A2-E2', self::of($row, 'bound_over_speed')?->place, 'The weak one leaves its nose first.');
        self::assertSame('A1-E1', self::of($row, 'sliding_nose_stress')?->place, 'The strong one presses most.');
    }

    public function testWithoutReadingsItSaysWhatIsMissingWhereLeastIs(): void
    {
        $bench = Train::bucketFour()->tests('A3-I1', 'valve_mass', '44.6')->bench();
        self::assertSame([], MoreOrLess::on($bench));
        $missing = MoreOrLess::missing($bench);
        self::assertContains('open load', $missing);
        self::assertNotContains('mass of the valve', $missing);
    }

    private static function of(MoreOrLess $row, string $value): ?Margin
    {
        foreach ($row->worst as $margin) {
            if ($margin->quantity() === $value) {
                return $margin;
            }
        }

        return null;
    }

    private static function figure(MoreOrLess $row, string $value): float
    {
        return (float) self::of($row, $value)?->value()?->base;
    }
}
