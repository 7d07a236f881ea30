<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Motion;

use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Motion\Threshold;
use MuteTapper\Core\Motion\TrainInputs;
use PHPUnit\Framework\TestCase;

/** A lobe whose closing flank is longer than its opening one: both durations stay those of its card. */
final class UnequalFlanksTest extends TestCase
{
    private const CARD = [
        'lobe_lift' => 0.440 * Lobes::INCH, 'high_lift' => 0.050 * Lobes::INCH, 'high_duration' => 255.0, 'low_lift' => 0.020 * Lobes::INCH,
        'low_duration' => 290.0, 'ramp_height' => 0.010 * Lobes::INCH, 'ramp_rate' => 0.00040 * Lobes::INCH, 'skew' => 0.0,
    ];

    public function testEachFlankStandsWhereItsShareOfTheDurationsSays(): void
    {
        $lobe = TrainInputs::lobe(['skew' => 8.0] + self::CARD);
        foreach ([[255.0, 0.050], [290.0, 0.020]] as [$duration, $inches]) {
            self::assertEqualsWithDelta($inches * Lobes::INCH, $lobe->of(-($duration - 8) / 4)[0], 2e-8);
            self::assertEqualsWithDelta($inches * Lobes::INCH, $lobe->of(($duration + 8) / 4)[0], 2e-8);
        }
        self::assertEqualsWithDelta(0.440 * Lobes::INCH, $lobe->peak(), 1e-9);
    }

    /** The acceleration does not jump where the flanks meet: the bend beside the nose is one curve. */
    public function testBothFlanksMeetInOneNose(): void
    {
        $lobe = TrainInputs::lobe(['skew' => 8.0] + self::CARD);
        self::assertEqualsWithDelta($lobe->of(-1e-9)[2], $lobe->of(1e-9)[2], 1e-9 * abs($lobe->of(0.0)[2]));
        self::assertEqualsWithDelta($lobe->of(-0.5)[2], $lobe->of(0.5)[2], 2e-3 * abs($lobe->of(0.0)[2]));
    }

    public function testTheLongerFlankStandsHigher(): void
    {
        [$one, $other] = [TrainInputs::lobe(['skew' => 0.0] + self::CARD), TrainInputs::lobe(['skew' => 1e-6] + self::CARD)];
        self::assertEqualsWithDelta($one->of(33.3)[0], $other->of(33.3)[0], 1e-9);
        $longer = TrainInputs::lobe(['skew' => 6.0] + self::CARD);
        $shorter = TrainInputs::lobe(['skew' => -6.0] + self::CARD);
        self::assertGreaterThan($longer->of(-50.0)[0], $longer->of(50.0)[0]);
        self::assertGreaterThan($shorter->of(50.0)[0], $shorter->of(-50.0)[0]);
    }

    /** The valve that is let down longer lands softer, and the shorter opening flank asks more of the train. */
    public function testItMovesTheSpeedOfFloat(): void
    {
        $even = Threshold::floatSpeed(Lobes::bucket(90, 265));
        $skewed = Threshold::floatSpeed(Lobes::bucket(90, 265)->withLobe(TrainInputs::lobe(['skew' => 8.0] + self::CARD)));
        self::assertNotNull($even);
        self::assertNotNull($skewed);
        self::assertEqualsWithDelta(11122, $even, 2);
        self::assertGreaterThan(20.0, abs($skewed - $even));
        self::assertLessThan(0.08 * $even, abs($skewed - $even));
    }

    public function testFlanksThatNoNoseJoinsAreRefused(): void
    {
        $this->expectException(Contradiction::class);
        TrainInputs::lobe(['skew' => 80.0] + self::CARD);
    }
}
