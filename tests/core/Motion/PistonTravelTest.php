<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Motion;

use MuteTapper\Core\Motion\PistonRoom;
use MuteTapper\Core\Motion\PistonTravel;
use MuteTapper\Core\Sheet\Missing;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The piston under a valve of a case; the worked example is [own], agreed between independent programs. */
final class PistonTravelTest extends TestCase
{
    private const BUILD = [
        'stroke' => '3.48', 'rod_length' => '5.70', 'deck_clearance' => '0.010', 'gasket_thickness' => '0.039',
        'intake_valve_angle' => '23', 'exhaust_valve_angle' => '23',
    ];

    public function testTheWorkedExampleComesOutOfACase(): void
    {
        foreach ([['A1-I1', 10.588, 0.055828], ['A1-E1', -10.783, 0.055215]] as [$place, $degree, $clearance]) {
            [$at, $least] = self::room(self::engine(), $place)->nearest();
            self::assertEqualsWithDelta($degree, $at, 0.01);
            self::assertEqualsWithDelta($clearance * Lobes::INCH, $least, 2e-8);
        }
    }

    /** @return iterable<string, array{string, float, float}> */
    public static function phases(): iterable
    {
        yield 'late intake, further' => ['A1-I1', -8.0, 0.110032];
        yield 'early intake, nearer' => ['A1-I1', 8.0, 0.004034];
        yield 'late exhaust, nearer' => ['A1-E1', -8.0, 0.001884];
        yield 'early exhaust, further' => ['A1-E1', 8.0, 0.109064];
    }

    #[DataProvider('phases')]
    public function testPhaseMovesEachKindItsOwnWay(string $place, float $early, float $clearance): void
    {
        self::assertEqualsWithDelta($clearance * Lobes::INCH, self::room(self::engine(), $place)->nearest($early)[1], 2e-8);
    }

    /** The exhaust is nearest about ten degrees before, the intake between top dead centre and fifteen after. [practice] */
    public function testWhereTheyAreNearest(): void
    {
        self::assertEqualsWithDelta(-10.0, self::room(self::engine(), 'A1-E1')->nearest()[0], 4.0);
        self::assertEqualsWithDelta(7.5, self::room(self::engine(), 'A1-I1')->nearest()[0], 7.5);
    }

    /** At unchanged durations, 0.050 in more at the nose takes about 0.012 in at the intake and 0.009 in at the exhaust. [own] */
    public function testPeakLiftHardlyMatters(): void
    {
        foreach (['A1-I1' => 0.012, 'A1-E1' => 0.009] as $place => $taken) {
            $more = self::room(self::engine('0.450'), $place)->nearest()[1];
            self::assertEqualsWithDelta($taken, (self::room(self::engine(), $place)->nearest()[1] - $more) / Lobes::INCH, 0.0012);
        }
    }

    /** What clay says at the phase as found fixes the level, and the curve moves from there. */
    public function testAMeasuredClearanceFixesTheLevel(): void
    {
        $clay = self::engine()->tests('A1-E1', 'piston_to_valve', '0.080')
            ->tests('engine', 'cam_phase_card', '106', 'cam')->tests('engine', 'cam_phase_found', '110', 'cam');
        $travel = self::travel($clay, 'A1-E1');
        self::assertSame(-4.0, $travel->early());
        $room = self::room($clay, 'A1-E1');
        self::assertEqualsWithDelta(0.080 * Lobes::INCH, $room->nearest(-4.0)[1], 1e-9);
        // Four degrees less late: about 0.0066 in a degree further.
        self::assertEqualsWithDelta(0.080 + 4 * 0.0066, $room->nearest()[1] / Lobes::INCH, 0.001);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string, string}> */
    public static function signs(): iterable
    {
        $four = ['layout' => 'inline', 'drive' => 'bucket', 'face' => 'flat', 'lash' => 'solid', 'cylinders' => 4];
        $eight = ['layout' => 'vee', 'drive' => 'pushrod', 'face' => 'roller', 'lash' => 'solid', 'cylinders' => 8];
        yield 'a block cam, late: the intake' => [$eight, 'A1-I1', 'cam', 'late: that brings the intake further from'];
        yield 'a block cam, late: the exhaust' => [$eight, 'A1-E1', 'cam', 'late: that brings the exhaust nearer to'];
        yield 'an exhaust cam counted before TDC: more is early' => [$four, 'A1-E1', 'A-E', 'early: that brings the exhaust further from'];
        yield 'an intake cam counted after TDC: more is late' => [$four, 'A1-I1', 'A-I', 'late: that brings the intake further from'];
    }

    /** @param array<string, mixed> $engine */
    #[DataProvider('signs')]
    public function testTheSignOfAPhaseIsSaidByCamAndKind(array $engine, string $place, string $cam, string $words): void
    {
        $example = new Example($engine);
        self::assertStringContainsString('on its marks', self::travel($example, $place)->sign());
        $example->tests('engine', 'cam_phase_card', '106', $cam)->tests('engine', 'cam_phase_found', '110', $cam);
        self::assertStringContainsString($words, self::travel($example, $place)->sign());
    }

    public function testWhatIsMissingIsNamed(): void
    {
        $missing = self::travel(new Example(['layout' => 'vee', 'drive' => 'pushrod', 'cylinders' => 8]), 'A1-E1')->room();
        self::assertInstanceOf(Missing::class, $missing);
        self::assertContains('rod length', $missing->what);
        self::assertContains('card: lobe centre, after TDC of an intake, before TDC of an exhaust', $missing->what);
    }

    public static function engine(string $lift = '0.400'): Example
    {
        $engine = new Example(['layout' => 'vee', 'drive' => 'pushrod', 'face' => 'roller', 'lash' => 'solid', 'cylinders' => 8]);
        foreach (self::BUILD as $column => $text) {
            $engine->claims('engine', $column, $text);
        }
        foreach (['I' => ['0.180', '106'], 'E' => ['0.150', '110']] as $kind => [$relief, $centre]) {
            $place = 'A1-'.$kind.'1';
            $engine->tests($place, 'relief_depth', $relief)->tests($place, 'valve_recess', '0.060')->tests($place, 'ratio', '1.5')
                ->tests($place, 'lash', '0.016')->tests($place, 'lobe_lift', $lift)->claims('kind-'.$kind, 'card_centre', $centre)
                ->claims('kind-'.$kind, 'card_high_duration', '255')->claims('kind-'.$kind, 'card_low_duration', '290')
                ->claims('kind-'.$kind, 'ramp_height', '0.012')->claims('kind-'.$kind, 'ramp_rate', '0.00045');
        }

        return $engine;
    }

    private static function travel(Example $example, string $place): PistonTravel
    {
        $bench = $example->bench();
        $station = $bench->case->engine->station($place);
        self::assertNotNull($station);

        return new PistonTravel($station, $bench);
    }

    private static function room(Example $example, string $place): PistonRoom
    {
        $room = self::travel($example, $place)->room();
        self::assertInstanceOf(PistonRoom::class, $room);

        return $room;
    }
}
