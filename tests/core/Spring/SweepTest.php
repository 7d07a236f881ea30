<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Spring;

use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Entry\SweptCurve;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Missing;
use MuteTapper\Core\Spring\Sweep;
use MuteTapper\Core\Spring\SweptSprings;
use MuteTapper\Core\Spring\ToldApart;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Curves made with a known rate, a known height at which they are solid, and known noise. */
final class SweepTest extends TestCase
{
    private const INCH = 0.0254;
    private const RATE = 410.0;
    private const FREE = 2.25;

    /** @return iterable<string, array{float, float, float}> noise in pounds, step and stiffness of the tester's frame against the spring's */
    public static function made(): iterable
    {
        yield 'a quiet tester in small steps' => [0.2, 0.003, 100.0];
        yield 'steps of five thou' => [0.5, 0.005, 60.0];
        yield 'a noisy tester' => [2.0, 0.004, 60.0];
        yield 'a soft frame' => [0.5, 0.004, 20.0];
        yield 'one point beyond the corner' => [0.5, 0.012, 150.0];
    }

    /** @param float $noise half-width */
    #[DataProvider('made')]
    public function testTheHeightAtWhichItIsSolidIsFoundWithinItsUncertainty(float $noise, float $step, float $frame): void
    {
        $missed = 0;
        $worst = 0.0;
        for ($seed = 1; $seed <= 60; ++$seed) {
            mt_srand($seed);
            $bind = 1.170 + 0.020 * mt_rand(0, 1000) / 1000;
            $found = self::swept(self::points($bind, $noise, $step, $frame))->bindHeight();
            $off = abs($found->base / self::INCH - $bind);
            $worst = max($worst, $off);
            $missed += $off > $found->expanded()->base / self::INCH ? 1 : 0;
            self::assertLessThan(0.008, $found->expanded()->base / self::INCH, 'the uncertainty is that of a tester, not a guess');
        }
        self::assertLessThanOrEqual(3, $missed, 'in 60 of which one in twenty may lie outside of two deviations');
        self::assertLessThan(0.008, $worst);
    }

    /** Coils that close one after the other make the rate rise before the spring is solid: that is said apart, and is not the bind height. */
    public function testCoilsThatBeginToCloseAreNotYetSolid(): void
    {
        $points = self::points(1.180, 0.1, 0.003, 60.0, 0.06);
        $sweep = self::swept($points);
        self::assertEqualsWithDelta(1.180, $sweep->bindHeight()->base / self::INCH, 0.004);
        self::assertEqualsWithDelta(1.24, ($sweep->closesBelow() ?? 0.0) / self::INCH, 0.03);
        self::assertFalse($sweep->isProgressive());
    }

    public function testASweepThatEndedEarlyHasNoBindHeight(): void
    {
        $this->expectException(Contradiction::class);
        self::swept(array_slice(self::points(1.180, 0.2, 0.004, 60.0), 0, 100))->bindHeight();
    }

    public function testLoadAndRateAreThoseOfTheSpring(): void
    {
        $sweep = self::swept(self::points(1.180, 0.0, 0.004, 60.0));
        $load = $sweep->loadAt(self::height(1.842))->quantity()->in(Unit::PoundForce);
        self::assertEqualsWithDelta(self::RATE * (self::FREE - 1.842), $load, 1e-6);
        $rate = $sweep->rateBetween(self::height(1.85), self::height(1.25));
        self::assertEqualsWithDelta(self::RATE, $rate->quantity()->in(Unit::PoundForcePerInch), 1e-6);
        // The tester's gain is common to all points and stays; what each reading adds by itself grows small.
        self::assertEqualsWithDelta(0.02 / sqrt(3), $rate->standard() / $rate->base, 0.003);
        $this->expectException(Contradiction::class);
        $sweep->loadAt(self::height(2.1));
    }

    /** A height just above the one at which it is solid has the load of the spring, not of the tester's frame. */
    public function testALoadNearTheSolidHeightIsStillThatOfTheSpring(): void
    {
        $sweep = self::swept(self::points(1.180, 0.0, 0.004, 60.0));
        self::assertEqualsWithDelta(
            self::RATE * (self::FREE - 1.190), $sweep->loadAt(self::height(1.190))->quantity()->in(Unit::PoundForce), 1e-6,
        );
        $rate = $sweep->rateBetween(self::height(1.85), self::height(1.170));
        self::assertEqualsWithDelta(self::RATE, $rate->quantity()->in(Unit::PoundForcePerInch), 1e-6);
        $solid = $sweep->loadAt(self::height(1.171))->quantity()->in(Unit::PoundForce);
        self::assertGreaterThan(self::RATE * (self::FREE - 1.171) + 100, $solid);
    }

    public function testAHeightThatIsUncertainMakesTheLoadUncertain(): void
    {
        $sweep = self::swept(self::points(1.180, 0.0, 0.004, 60.0));
        $rough = Uncertain::of(Quantity::of(1.842, Unit::Inch), ['height micrometer' => 0.001 * self::INCH]);
        $exact = $sweep->loadAt(self::height(1.842))->standard();
        $more = sqrt($sweep->loadAt($rough)->standard() ** 2 - $exact ** 2);
        self::assertEqualsWithDelta(self::RATE * 0.001, $more / Unit::PoundForce->baseFactor(), 0.001);
    }

    public function testARateThatRisesAllTheWayIsNoStraightLine(): void
    {
        $points = [];
        for ($i = 0; $i < 160; ++$i) {
            $pressed = 0.004 * $i;
            $points[] = [2.0 - $pressed, 90 + 320 * $pressed + 260 * $pressed ** 2];
        }
        self::assertTrue(self::swept($points)->isProgressive());
        self::assertFalse(self::swept(self::points(1.180, 0.5, 0.004, 60.0))->isProgressive());
    }

    /** A spring that has set keeps its rate; one with a crack, or another, does not: by load alone they would be one. */
    public function testASetSpringIsToldFromOneThatGivesWay(): void
    {
        $example = Example::pushrodEight();
        foreach ([
            'sound-1' => [0.0, 1.0], 'sound-2' => [0.004, 1.0], 'set' => [-0.055, 1.0], 'cracked' => [0.0, 0.89], 'other' => [0.0, 1.09],
        ] as $tag => [$taller, $stiffer]) {
            $example = $example->records(EntryKind::Sweep, new Slot('loose-'.$tag, 'spring', 'sweep', 'outer'), self::content(
                self::points(1.180, 0.3, 0.005, 60.0, 0.0, $taller, $stiffer),
            ));
        }
        $swept = SweptSprings::on($example->bench(), 'outer', 'loose-sound-1') ?? self::fail('Nothing was swept.');
        $told = [];
        foreach ($swept->springs as $spring) {
            $told[substr($spring->place, 6)] = $spring->place === 'loose-sound-1' ? null : $spring->toldFrom($swept->against);
        }
        self::assertSame([
            'cracked' => ToldApart::GivesWay, 'other' => ToldApart::Stiffer, 'set' => ToldApart::HasSet, 'sound-1' => null,
            'sound-2' => ToldApart::Alike,
        ], $told);
        self::assertNull(SweptSprings::on($example->bench(), 'inner', null));
    }

    /** A curve that was measured goes before a line through two loads, and is itself less than a height that was read. */
    public function testTheBenchTakesLoadsOffTheCurve(): void
    {
        $example = Example::pushrodEight()
            ->measures('A1-E1', 'installed_height', '1.842')->measures('A1-E1', 'net_lift', '0.590')
            ->measures('A1-E1', 'load_seat', '300', '1.900')->measures('A1-E1', 'load_open', '500', '1.300');
        $before = $example->bench()->value('A1-E1', 'seat_load', 'outer');
        self::assertInstanceOf(Given::class, $before);
        $swept = $example->records(
            EntryKind::Sweep, new Slot('A1-E1', 'spring', 'sweep', 'outer'), self::content(self::points(1.180, 0.0, 0.004, 60.0)),
        )->bench();
        $heights = ['seat_load' => 1.842, 'load_at_lift' => 1.252];
        foreach (array_map(static fn (float $at): float => self::RATE * (self::FREE - $at), $heights) as $name => $pounds) {
            $value = $swept->value('A1-E1', $name, 'outer');
            self::assertInstanceOf(Given::class, $value);
            self::assertEqualsWithDelta($pounds, $value->value->quantity()->in(Unit::PoundForce), 1e-6, $name);
        }
        $bind = $swept->value('A1-E1', 'bind_height', 'outer');
        self::assertInstanceOf(Given::class, $bind);
        self::assertEqualsWithDelta(1.180, $bind->value->quantity()->in(Unit::Inch), 0.001);
        $rate = $swept->value('A2-E1', 'rate', 'outer');
        self::assertInstanceOf(Missing::class, $rate);
        self::assertNotContains('sweep on the tester', $rate->what, 'Where nothing was swept, two loads will do.');
    }

    /** @return iterable<string, array{array<string, mixed>, string}> what is wrong, and where it is said to be */
    public static function refused(): iterable
    {
        $points = array_map(static fn (int $i): array => [1.9 - 0.05 * $i, 100 + 20 * $i], range(0, 9));
        yield 'too few' => [['points' => array_slice($points, 0, 7)], '/points'];
        yield 'a height of a foot' => [['points' => [...$points, [12.0, 3.0]]], '/points/10/0'];
        yield 'a load that no spring has' => [['points' => [...$points, [1.2, 90000.0]]], '/points/10/1'];
        yield 'three figures' => [['points' => [...$points, [1.2, 300, 7]]], '/points/10'];
        yield 'one height' => [['points' => array_fill(0, 9, [1.2, 300])], '/points'];
        yield 'pounds of height' => [['points' => $points, 'heightUnit' => 'lbf'], '/heightUnit'];
        yield 'inches of load' => [['points' => $points, 'loadUnit' => 'in'], '/loadUnit'];
    }

    /** @param array<string, mixed> $content */
    #[DataProvider('refused')]
    public function testWhatIsNoSweepIsRefusedByItsPlace(array $content, string $pointer): void
    {
        try {
            SweptCurve::fromNode(Node::root($content + self::content([])));
            self::fail('It was accepted.');
        } catch (BadDocument $problem) {
            self::assertSame($pointer, $problem->pointer);
        }
    }

    /**
     * @param float $closing height over which the last coils close one after the other
     *
     * @return list<array{float, float}>
     */
    private static function points(
        float $bind,
        float $noise,
        float $step,
        float $frame,
        float $closing = 0.0,
        float $taller = 0.0,
        float $stiffer = 1.0,
    ): array {
        $points = [];
        $rate = self::RATE * $stiffer;
        // Another rate, the same load on the seat.
        $free = 1.9 + (self::FREE + $taller - 1.9) / $stiffer;
        for ($i = 0; ($height = 1.95 - $step * $i) > $bind - max(0.012, 1.5 * $step); ++$i) {
            $into = $closing > 0.0 ? max(0.0, $bind + $closing - max($height, $bind)) : 0.0;
            $points[] = [
                $height,
                $rate * ($free - $height) + ($closing > 0.0 ? $rate / $closing * $into ** 2 : 0.0)
                    + $frame * $rate * max(0.0, $bind - $height) + $noise * mt_rand(-1000, 1000) / 1000,
            ];
        }

        return $points;
    }

    /**
     * @param list<array{float, float}> $points
     *
     * @return array<string, mixed>
     */
    private static function content(array $points): array
    {
        return [
            'points' => $points, 'heightUnit' => 'in', 'loadUnit' => 'lbf', 'gauge' => [
                'code' => 'spring_tester', 'label' => 'spring tester', 'unit' => 'lbf', 'gain' => 0.02, 'gain_floor' => 1,
                'repeat_relative' => 0.005, 'stated' => '±2 %',
            ],
        ];
    }

    /** @param list<array{float, float}> $points */
    private static function swept(array $points): Sweep
    {
        $curve = SweptCurve::fromNode(Node::root(self::content($points)), 'made');

        return new Sweep($curve->heights(), $curve->loads());
    }

    private static function height(float $inches): Uncertain
    {
        return Uncertain::exact(Quantity::of($inches, Unit::Inch));
    }
}
