<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Before;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Before\LashOrder;
use MuteTapper\Core\Before\PullSheet;
use MuteTapper\Core\Engine\Cams;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Sheet\At;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Verdict\Margin;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

final class BeforeTest extends TestCase
{
    private static function margin(Bench $bench, string $quantity, string $place, ?string $index = null): Margin
    {
        return $bench->margin($place, $quantity, $index) ?? self::fail("No $quantity at $place");
    }

    /** @return list<string> what the tests before the teardown say as a whole */
    private static function remarks(Bench $bench): array
    {
        return array_merge(
            ...array_map(
                static fn (string $sheet): array => $bench->remarks($bench->sheets->named($sheet) ?? self::fail($sheet)),
                ['cylinders', 'pulls'],
            ),
        );
    }

    /** @return list<string> stations whose two pulls disagree */
    private static function wantThird(Example $example): array
    {
        $bench = $example->bench();

        return array_values(
            array_filter(
                array_map(static fn (Station $station): string => $station->code(), $example->engine()->stations),
                static fn (string $station): bool => PullSheet::wantsThird($bench, $station),
            ),
        );
    }

    /** @return array<string, string> what is said of the valves that drift, by place */
    private static function drifts(Bench $bench): array
    {
        $drifts = [];
        foreach (['lash_drift', 'pull_drift'] as $quantity) {
            foreach ($bench->marginsOf($quantity) as $margin) {
                if ($margin->isOutside()) {
                    $drifts[$margin->place] = ($bench->sheets->judged[$quantity]->saying ?? self::fail())(
                        new At($bench, $margin->place), $margin,
                    );
                }
            }
        }

        return $drifts;
    }

    private static function eight(): Example
    {
        return new Example(['layout' => 'vee', 'drive' => 'pushrod', 'cylinders' => 8, 'firing_order' => [1, 8, 4, 3, 6, 5, 7, 2]]);
    }

    /**
     * Pulls of both valves of every cylinder; those not named lie between 115 and 120 lb.
     *
     * @param array<string, string|array{string, string}> $named both pulls of a valve, or one that stands for both
     */
    private static function pulled(Example $example, array $named = []): Example
    {
        foreach ($example->engine()->stations as $i => $station) {
            foreach (['1', '2'] as $number) {
                $load = $named[$station->code()] ?? (string) (115 + ($i * 3 + (int) $number) % 6);
                $example->tests($station->code(), 'pull', \is_array($load) ? $load['1' === $number ? 0 : 1] : $load, $number);
            }
        }

        return $example;
    }

    /** Each cylinder at its firing top dead centre; half the firing order later its partner rocks at overlap. */
    public function testLashFollowsTheFiringOrder(): void
    {
        $order = LashOrder::of(self::eight()->engine());
        self::assertTrue($order->fromFiringOrder);
        self::assertSame(
            ['1I', '1E', '8I', '8E', '4I', '4E', '3I', '3E', '6I', '6E', '5I', '5E', '7I', '7E', '2I', '2E'],
            array_map(static fn (Station $station): string => $station->label(), $order->stations()),
        );
        self::assertSame([6, 5, 7, 2, 1, 8, 4, 3], array_map(static fn (array $stop): ?int => $stop['overlap']?->number, $order->stops));
    }

    public function testWithoutAFiringOrderTheNumbersLeadAndNoPartnerIsNamed(): void
    {
        $order = LashOrder::of(Example::pushrodEight()->engine());
        self::assertFalse($order->fromFiringOrder);
        self::assertSame([1, 2, 3, 4, 5, 6, 7, 8], array_map(static fn (array $stop): int => $stop['cylinder']->number, $order->stops));
        self::assertNull($order->stops[0]['overlap']);
        $five = LashOrder::of(
            (new Example(['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 5, 'firing_order' => [1, 2, 4, 5, 3]]))->engine(),
        );
        self::assertNull($five->stops[0]['overlap'], 'an odd number of cylinders has no partner');
        self::assertCount(20, $five->stations());
    }

    /** [practice: most at 115 to 120, one at 110, one at 125 are all good; one at 80 has failed] */
    public function testPullsAreJudgedByTheMiddleValue(): void
    {
        $bench = self::pulled(self::eight(), ['A2-E1' => '110', 'B2-E1' => '125', 'B3-E1' => '80'])->bench();
        foreach (['A1-E1', 'A2-E1', 'B2-E1', 'A1-I1'] as $good) {
            self::assertContains(self::margin($bench, 'pull_from_middle', $good)->verdict, [Verdict::Inside, Verdict::InsideClose], $good);
        }
        self::assertSame(Verdict::Outside, self::margin($bench, 'pull_from_middle', 'B3-E1')->verdict);
        self::assertLessThan(-25, self::margin($bench, 'pull_from_middle', 'B3-E1')->value()?->base);
        self::assertNull(PullSheet::next($bench));
    }

    public function testAnEvenSetSaysNothingOfItsLevel(): void
    {
        self::assertStringContainsString(
            'cannot tell whether all are low', implode(' ', self::remarks(self::pulled(self::eight())->bench())),
        );
    }

    /** The unknown offset of a lever tester is common to all pulls: it must hardly touch a departure. */
    public function testTheTestersOffsetCancels(): void
    {
        $bench = self::pulled(self::eight())->bench();
        $value = self::margin($bench, 'pull_from_middle', 'A1-E1')->value();
        self::assertNotNull($value);
        self::assertArrayHasKey('gauge lever_tester zero', $value->contributions);
        self::assertLessThan(0.4, abs($value->contributions['gauge lever_tester zero']), 'of 25 lb offset, a fifth of the load');
    }

    public function testTwoPullsThatDisagreeAskForAThird(): void
    {
        $example = self::pulled(self::eight(), ['A1-I1' => ['110', '116']]);
        $bench = $example->bench();
        self::assertSame(['A1-I1'], self::wantThird($example));
        self::assertSame('A1-I1', PullSheet::next($bench));
        $example->tests('A1-I1', 'pull', '115', '3');
        self::assertSame([], self::wantThird($example));
        self::assertNull(PullSheet::next($example->bench()));
    }

    public function testTheNextValveIsTheFirstInTheOrderOfLash(): void
    {
        $example = self::eight();
        self::assertSame('A1-I1', PullSheet::next($example->bench()));
        $example->tests('A1-I1', 'pull', '118', '1')->tests('A1-I1', 'pull', '119', '2')->tests('A1-E1', 'pull', '118', '1');
        self::assertSame('A1-E1', PullSheet::next($example->bench()), 'one pull is not enough');
    }

    /** [practice: the lowest cylinder at least 75 per cent of the highest; two low neighbours point at the gasket] */
    public function testCompressionIsComparedWithTheHighest(): void
    {
        $example = self::eight();
        foreach ([
            'A1' => 180, 'A2' => 120, 'A3' => 118, 'A4' => 178, 'B1' => 176, 'B2' => 150, 'B3' => 177, 'B4' => 100,
        ] as $cylinder => $psi) {
            $example->tests($cylinder, 'compression', (string) $psi);
        }
        $bench = $example->bench();
        self::assertEqualsWithDelta(100 * 120 / 180, self::margin($bench, 'compression_share', 'A2')->value()?->base, 1e-9);
        self::assertSame(Verdict::Outside, self::margin($bench, 'compression_share', 'A3')->verdict);
        self::assertSame(Verdict::Inside, self::margin($bench, 'compression_share', 'B2')->verdict);
        self::assertSame(
            ['Cylinder 3 and cylinder 5 are low together and stand side by side: look at the gasket between them.'], self::remarks($bench),
            'cylinder 8 is low by itself',
        );
    }

    public function testOneCylinderHasNothingToBeComparedWith(): void
    {
        $single = (new Example(['layout' => 'inline', 'drive' => 'finger', 'cylinders' => 1]))->tests('A1', 'compression', '150');
        self::assertSame(Verdict::NotMeasured, self::margin($single->bench(), 'compression_share', 'A1')->verdict);
    }

    public function testTheHotLeakDownGoesBeforeTheCold(): void
    {
        $example = self::eight()
            ->tests('A1', 'leak_down', '12', 'cold')->tests('A1', 'leak_down', '35', 'hot')->tests('A2', 'leak_down', '8', 'cold');
        self::assertSame(35.0, self::margin($example->bench(), 'leak_down', 'A1')->value()?->base);
        self::assertSame(Verdict::Inside, self::margin($example->bench(), 'leak_down', 'A2')->verdict);
    }

    /** [practice: more than 2 crank degrees off the card is a finding] */
    public function testEachCamIsHeldAgainstItsCard(): void
    {
        $four = new Example(['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 4]);
        self::assertSame(['A-I' => 'intake cam', 'A-E' => 'exhaust cam'], Cams::of($four->engine()));
        self::assertSame(['cam' => 'cam'], Cams::of(self::eight()->engine()));
        $four->tests('engine', 'cam_phase_card', '105', 'A-I')
            ->tests('engine', 'cam_phase_found', '110.5', 'A-I')->tests('engine', 'cam_phase_card', '110', 'A-E')
            ->tests('engine', 'cam_phase_found', '110.5', 'A-E');
        self::assertSame(Verdict::Outside, self::margin($four->bench(), 'cam_phase', 'engine', 'A-I')->verdict);
        self::assertSame(Verdict::Inside, self::margin($four->bench(), 'cam_phase', 'engine', 'A-E')->verdict);
        $items = Assessment::of($four->case(), Example::knowledge())->items();
        self::assertSame(['A-I'], $items['phase_away']->places, 'a late intake opens away from its piston');
        self::assertFalse($items['phase_toward']->isPresent);
        self::assertSame(['A-E', 'A-I'], self::sorted(array_keys($items['phase_toward']->sites)));
    }

    /** One reading of a cam that drives both kinds says something of each: late, the exhausts come nearer and the intakes go away. */
    public function testOneCamForBothKindsIsHeardTwice(): void
    {
        $items = Assessment::of(
            self::eight()->tests('engine', 'cam_phase_card', '105', 'cam')->tests('engine', 'cam_phase_found', '113', 'cam')->case(),
            Example::knowledge(),
        )->items();
        self::assertSame(['A-E', 'B-E'], self::sorted($items['phase_toward']->places));
        self::assertSame(['A-I', 'B-I'], self::sorted($items['phase_away']->places));
    }

    /**
     * @param list<string> $codes
     *
     * @return list<string>
     */
    private static function sorted(array $codes): array
    {
        sort($codes);

        return $codes;
    }

    public function testAPersonsFindingGoesBeforeTheFigure(): void
    {
        $example = self::eight()
            ->tests('engine', 'cam_phase_card', '105', 'cam')->tests('engine', 'cam_phase_found', '112', 'cam')
            ->sees('engine', 'timing', 'phase_off_card', 0);
        self::assertFalse(Assessment::of($example->case(), Example::knowledge())->items()['phase_off_card']->isPresent);
    }

    public function testAnAnswerAmountsToItsSign(): void
    {
        $items = Assessment::of(self::eight()->answers('engine', 'vacuum_needle', 'pulsing')->case(), Example::knowledge())->items();
        self::assertTrue($items['vacuum_pulses']->isPresent);
        $items = Assessment::of(self::eight()->answers('engine', 'vacuum_needle', 'steady')->case(), Example::knowledge())->items();
        self::assertFalse($items['vacuum_pulses']->isPresent);
    }

    /** [practice: lash that grew is wear of lobe, follower, tip, cup or pushrod; lash that shrank is the seat or the valve] */
    public function testDriftOverDatesIsFlaggedWithItsMeaning(): void
    {
        $example = self::eight();
        foreach ([
            'A1-E1' => ['0.016', '0.022'], 'A2-E1' => ['0.016', '0.011'], 'A3-E1' => ['0.016', '0.0165'],
        ] as $place => [$before, $now]) {
            $example->tests($place, 'lash', $before, '2026-03-01')->tests($place, 'lash', $now);
        }
        $bench = $example->bench();
        self::assertSame(['2026-03-01'], $bench->dates());
        $drifts = self::drifts($bench);
        self::assertSame(['A1-E1', 'A2-E1'], array_keys($drifts));
        self::assertStringStartsWith('Since 2026-03-01. It grew', $drifts['A1-E1']);
        self::assertStringStartsWith('Since 2026-03-01. It shrank', $drifts['A2-E1']);
    }

    public function testAValveThatFallsBehindTheOthersDrifts(): void
    {
        $example = self::pulled(self::eight(), ['B2-E1' => '92']);
        foreach ($example->engine()->stations as $station) {
            // The same tester reads 10 lb higher on that day: only the departures may be followed.
            $example->tests($station->code(), 'pull', '127', '2026-02-10.1')->tests($station->code(), 'pull', '128', '2026-02-10.2');
        }
        $drifts = self::drifts($example->bench());
        self::assertSame(['B2-E1'], array_keys($drifts));
        self::assertStringContainsString('falls behind', $drifts['B2-E1']);
    }
}
