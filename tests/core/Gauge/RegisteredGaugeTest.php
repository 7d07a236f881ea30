<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Gauge;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\Gauge;
use MuteTapper\Core\Gauge\RegisteredGauge;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

final class RegisteredGaugeTest extends TestCase
{
    public function testAGaugeIsWorthWhatItsKindIsUnlessItsCalibrationSaysOtherwise(): void
    {
        $kind = self::kinds()['lever_tester'];
        $plain = self::gauge(['kind' => 'lever_tester']);
        self::assertSame([$kind->zero, $kind->repeat, 0.0], [$plain->gauge->zero, $plain->gauge->repeat, $plain->gauge->offset]);
        self::assertSame('repeats to 5 lbf, offset not known, taken as up to 25 lbf', $plain->gauge->stated);
        self::assertFalse($plain->isOffsetKnown);
        $known = self::gauge(['kind' => 'lever_tester', 'zero' => 1.5, 'offset' => -4, 'repeat' => 2]);
        self::assertTrue($known->isOffsetKnown);
        self::assertSame('repeats to 2 lbf, reads 4 lbf low, known to 1.5 lbf', $known->gauge->stated);
        self::assertSame('my gauge', $known->gauge->label);
    }

    /** By dead weight: 100 lbf hung, 104 shown. What it shows afterwards is 4 too much, known to 1.5. */
    public function testAKnownOffsetIsTakenOffEachReading(): void
    {
        $gauge = self::gauge(['kind' => 'lever_tester', 'zero' => 1.5, 'offset' => 4])->gauge;
        $read = $gauge->reading(Quantity::of(119, Unit::PoundForce), 'a');
        self::assertEqualsWithDelta(115, $read->quantity()->in(Unit::PoundForce), 1e-9);
        self::assertEqualsWithDelta(
            Uncertain::fromHalfWidth(1.5 * Unit::PoundForce->baseFactor()), $read->contributions['gauge mine zero'], 1e-12,
        );
        // As it is stored with the reading, it is worth the same for ever.
        self::assertEquals($gauge->offset, Gauge::fromNode(Node::root($gauge->toArray()))->offset);
        self::assertArrayNotHasKey('offset', self::kinds()['caliper']->toArray());
    }

    /** Half a step of a coarse display is at least what is not known of a reading. */
    public function testAResolutionHidesHalfAStep(): void
    {
        self::assertSame(0.005, self::gauge(['kind' => 'caliper', 'resolution' => 0.01])->gauge->repeat);
        self::assertSame(0.001, self::gauge(['kind' => 'caliper', 'resolution' => 0.0005])->gauge->repeat);
    }

    public function testACalibrationRunsOut(): void
    {
        $gauge = self::gauge(['kind' => 'caliper', 'calibrated_on' => '2026-01-31', 'every_months' => 6]);
        self::assertFalse($gauge->isOverdue(new \DateTimeImmutable('2026-07-31 23:00')));
        self::assertTrue($gauge->isOverdue(new \DateTimeImmutable('2026-08-01')));
        $unbound = self::gauge(['kind' => 'caliper', 'calibrated_on' => '1990-01-01']);
        self::assertFalse($unbound->isOverdue(new \DateTimeImmutable('2026-08-01')));
    }

    public function testWhatItCannotBeIsSaid(): void
    {
        foreach ([
            '/kind' => ['kind' => 'spoon'], '/zero' => ['kind' => 'caliper', 'zero' => -1],
            '/resolution' => ['kind' => 'caliper', 'resolution' => -0.1], '/every_months' => ['kind' => 'caliper', 'every_months' => 0],
            '/calibrated_on' => ['kind' => 'caliper', 'calibrated_on' => '2026-02-31'],
        ] as $pointer => $content) {
            try {
                self::gauge($content);
                self::fail($pointer.' was accepted');
            } catch (BadDocument $problem) {
                self::assertSame($pointer, $problem->pointer);
            }
        }
    }

    /** @param array<string, mixed> $content */
    private static function gauge(array $content): RegisteredGauge
    {
        return RegisteredGauge::fromNode('mine', 'my gauge', Node::root($content), self::kinds());
    }

    /** @return array<string, Gauge> */
    private static function kinds(): array
    {
        return Example::knowledge()->gauges;
    }
}
