<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Calculation;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Calculation\Solution;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use PHPUnit\Framework\TestCase;

/** What is kept of a long calculation, with what is not known of its inputs. */
final class SolutionTest extends TestCase
{
    /** Two loads off one tester err alike: where one raises the answer and the other lowers it, its error cancels. */
    public function testWhatInputsShareCancelsAndWhatTheMethodLeavesOpenIsAdded(): void
    {
        $load = static fn (float $base): Given => new Given(
            Uncertain::of(Quantity::base($base, Dimension::Force), ['gain of the tester' => 3.0]), 'tester',
        );
        $values = Values::of(['seat' => $load(300.0), 'open' => $load(700.0)]);
        $alone = Solution::of(9000.0, ['seat' => -2.0, 'open' => 2.0], [])->with($values, Dimension::RotationSpeed);
        self::assertSame(0.0, $alone->standard());
        $both = Solution::of(9000.0, ['seat' => 1.0, 'open' => 2.0], ['surge' => 60.0])->with($values, Dimension::RotationSpeed);
        self::assertEqualsWithDelta(sqrt(9.0 ** 2 + 60.0 ** 2 / 3), $both->standard(), 1e-9);
        self::assertSame(9000.0, $both->base);
    }
}
