<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Motion;

use MuteTapper\Core\Motion\ValveLift;
use MuteTapper\Core\Motion\ValveMeeting;
use MuteTapper\Core\Motion\ValvePair;
use MuteTapper\Core\Sheet\Missing;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The heads of two valves in one chamber, held against a walk over every pair of points of their faces. */
final class ValvePairTest extends TestCase
{
    private const APART = 0.12 * Lobes::INCH;
    private const ACROSS = [1.40 * Lobes::INCH, 1.18 * Lobes::INCH];

    /** @return iterable<string, array{array{float, float}, float}> leans and crank degree */
    public static function stands(): iterable
    {
        yield 'in line' => [[0.0, 0.0], 4.0];
        yield 'leaning alike, both little open' => [[15.0, 15.0], 0.0];
        yield 'the intake far open' => [[15.0, 17.0], 35.0];
        yield 'the exhaust far open' => [[20.0, 11.0], -35.0];
    }

    /** @param array{float, float} $leans */
    #[DataProvider('stands')]
    public function testTheGapIsTheLeastOverAllPointsOfBothFaces(array $leans, float $degree): void
    {
        [$in, $out] = self::lifts();
        $pair = ValvePair::of($in, $out, self::APART, self::ACROSS, $leans);
        $point = static function (int $side, float $across, float $lean, float $lift, float $share): array {
            $radians = deg2rad($lean);
            $x = self::APART / 2 + $share * $across * cos($radians) - $lift * sin($radians);

            return [$side * $x, $lift * cos($radians) + $share * $across * sin($radians)];
        };
        $least = INF;
        for ($i = 0; $i <= 400; ++$i) {
            [$x, $y] = $point(-1, self::ACROSS[0], $leans[0], $in->at($degree, 0.0), $i / 400);
            for ($j = 0; $j <= 400; ++$j) {
                [$u, $v] = $point(1, self::ACROSS[1], $leans[1], $out->at($degree, 0.0), $j / 400);
                $least = min($least, hypot($x - $u, $y - $v));
            }
        }
        self::assertEqualsWithDelta($least, $pair->at($degree), 2e-6);
    }

    /** Where both are open alike it is the sum that is taken by hand; where one is far open it is wider than that sum. */
    public function testItIsTheSumTakenByHandWhereBothAreOpenAlike(): void
    {
        [$in, $out] = self::lifts();
        $pair = ValvePair::of($in, $out, self::APART, self::ACROSS, [14.0, 14.0]);
        $hand = static fn (float $degree): float => self::APART - ($in->at($degree, 0.0) + $out->at($degree, 0.0)) * sin(deg2rad(14.0));
        self::assertEqualsWithDelta($in->at(0.0, 0.0), $out->at(0.0, 0.0), 1e-9);
        self::assertEqualsWithDelta($hand(0.0), $pair->at(0.0), 1e-7);
        self::assertGreaterThan($hand(20.0), $pair->at(20.0));
    }

    public function testHeadsThatWouldStandInEachOtherHaveNoGap(): void
    {
        [$in, $out] = self::lifts();
        $pair = ValvePair::of($in, $out, 0.01 * Lobes::INCH, self::ACROSS, [30.0, 30.0]);
        self::assertLessThan(0.0, $pair->nearest(8.0, -8.0)[1]);
    }

    public function testAMeasuredGapFixesTheLevelAndCamsNearerToEachOtherTakeOfIt(): void
    {
        [$in, $out] = self::lifts();
        $pair = ValvePair::of($in, $out, self::APART, self::ACROSS, [15.0, 15.0])->measured(0.002, 0.0, 0.0);
        self::assertEqualsWithDelta(0.002, $pair->nearest()[1], 1e-9);
        self::assertLessThan(0.002, $pair->nearest(6.0, -6.0)[1]);
        self::assertGreaterThan(0.002, $pair->nearest(-6.0, 6.0)[1]);
    }

    public function testOfACaseItTakesBothHeadsAndTheirGap(): void
    {
        $engine = self::engine();
        $meeting = static fn (Example $of): ValveMeeting => new ValveMeeting(
            $of->engine()->station('A1-I1') ?? self::fail(), $of->engine()->station('A1-E1') ?? self::fail(), $of->bench(),
        );
        $missing = $meeting($engine)->pair();
        self::assertInstanceOf(Missing::class, $missing);
        self::assertContains('gap between the heads of intake and exhaust, both shut', $missing->what);
        $engine->tests('A1', 'valves_apart_shut', '0.120');
        $pair = $meeting($engine)->pair();
        self::assertInstanceOf(ValvePair::class, $pair);
        self::assertEqualsWithDelta(0.120 * Lobes::INCH, $pair->at(320.0), 1e-9);
        self::assertFalse($meeting($engine)->areParallel());
        $fixed = $meeting($engine->tests('A1', 'valve_to_valve', '0.070'))->pair();
        self::assertInstanceOf(ValvePair::class, $fixed);
        self::assertEqualsWithDelta(0.070 * Lobes::INCH, $fixed->nearest()[1], 1e-9);
    }

    /** @return array{ValveLift, ValveLift} of one lobe, an intake and an exhaust alike */
    private static function lifts(): array
    {
        $lobe = Lobes::lobe(0.440, 0.010, 0.00040);

        return [ValveLift::of($lobe, 1.0, 0.0002, 106.0), ValveLift::of($lobe, 1.0, 0.0002, -106.0)];
    }

    private static function engine(): Example
    {
        $engine = new Example(['layout' => 'inline', 'drive' => 'bucket', 'face' => 'flat', 'lash' => 'solid', 'cylinders' => 2]);
        foreach (['I' => ['1.40', '106'], 'E' => ['1.18', '108']] as $kind => [$across, $centre]) {
            $place = 'A1-'.$kind.'1';
            $engine->tests($place, 'head_diameter', $across, 'along')->tests($place, 'lash', '0.008')
                ->tests($place, 'lobe_lift', '0.440')
                ->claims('engine', $kind === 'I' ? 'intake_valve_angle' : 'exhaust_valve_angle', '15');
            foreach (['card_centre' => $centre, 'card_high_duration' => '255', 'card_low_duration' => '290'] as $column => $text) {
                $engine->claims('kind-'.$kind, $column, $text);
            }
        }

        return $engine;
    }
}
