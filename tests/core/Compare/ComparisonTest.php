<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Compare;

use MuteTapper\Core\Compare\ComparedFigure;
use MuteTapper\Core\Compare\ComparedSign;
use MuteTapper\Core\Compare\Comparison;
use MuteTapper\Core\Compare\Group;
use MuteTapper\Core\Compare\Mismatch;
use MuteTapper\Core\Compare\Sample;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

final class ComparisonTest extends TestCase
{
    private static function of(Example $example, string $one, string $other): Comparison
    {
        $bench = $example->bench();
        $groups = array_map(static fn (string $code): ?Group => Group::of($bench, $code), [$one, $other]);
        self::assertNotNull($groups[0]);
        self::assertNotNull($groups[1]);

        return Comparison::of(Example::knowledge(), new Sample($bench, $groups[0]), new Sample($bench, $groups[1]));
    }

    /** @return list<string> */
    private static function names(Comparison $comparison): array
    {
        return array_map(static fn (ComparedFigure $one): string => trim($one->what.' '.$one->where), $comparison->figures);
    }

    public function testGroupsAreWhatTheEngineHas(): void
    {
        $codes = static fn (Example $example): array => array_map(
            static fn (Group $one): string => $one->code, Group::all($example->bench()),
        );
        self::assertContains('bank-B', $codes(Example::pushrodEight()));
        self::assertNotContains('bank-A', $codes(Example::bucketFour()), 'one bank is held against nothing');
        self::assertCount(2 + 4 + 16, $codes(Example::bucketFour()));
        self::assertNull(Group::of(Example::bucketFour()->bench(), 'A9'));
        self::assertSame('exhausts', Group::of(Example::bucketFour()->bench(), 'kind-E')?->name);
    }

    /** Intakes against intakes: banks alike in each kind are alike, though the kinds are not. */
    public function testBanksAreHeldKindAgainstKind(): void
    {
        $example = Example::pushrodEight();
        foreach (['A' => 0.0, 'B' => 0.015] as $bank => $more) {
            foreach ([1, 2, 3, 4] as $cylinder) {
                foreach (['I' => 0.218, 'E' => 0.207] as $kind => $wire) {
                    $place = $bank.$cylinder.'-'.$kind.'1';
                    $example->measures($place, 'wire_diameter', number_format($wire + ('E' === $kind ? $more : 0.0), 4, '.', ''));
                    $example->measures($place, 'valve_length', '5.010');
                }
            }
        }
        $banks = self::of($example, 'bank-A', 'bank-B');
        self::assertSame(['wire diameter exhausts'], self::names($banks));
        self::assertEqualsWithDelta(0.015 * 0.0254, $banks->figures[0]->difference->base, 1e-9);
        self::assertSame([4, 4], [$banks->figures[0]->one->count, $banks->figures[0]->other->count]);
        self::assertSame(3, $banks->alike);
        self::assertSame([], self::of($example, 'A1', 'A2')->figures);
    }

    /** Of single stations a difference counts once it is more than the two gauges can make. */
    public function testStationsDifferByMoreThanTheirGauges(): void
    {
        $example = Example::pushrodEight()->measures('A1-E1', 'installed_height', '1.800')->measures('A2-E1', 'installed_height', '1.8005')
            ->measures('B1-E1', 'installed_height', '1.740')->measures('B2-E1', 'installed_height', '1.741')
            ->measures('A1-I1', 'installed_height', '1.860')->claims('kind-E', 'installed_height', '1.800');
        self::assertSame([], self::names(self::of($example, 'A1-E1', 'A2-E1')));
        self::assertSame(1, self::of($example, 'A1-E1', 'A2-E1')->alike);
        $far = self::of($example, 'A1-E1', 'B1-E1');
        self::assertSame(['installed height'], self::names($far), 'a departure from the claim is a comparison already');
        self::assertGreaterThan(10, $far->figures[0]->byGauge);
        $kinds = self::of($example, 'A1-I1', 'A1-E1');
        self::assertSame(['installed height'], self::names($kinds), 'an intake against an exhaust, when asked');
        self::assertSame(1, self::of($example, 'A1', 'bank-B')->few, 'one against two of four: too few to tell');
    }

    /** What is outside its limit stands first, however small its difference by the gauges. */
    public function testWhatIsOutsideStandsFirst(): void
    {
        $example = Example::pushrodEight();
        foreach (['A1-E1' => ['1.800', '1.140'], 'A2-E1' => ['1.740', '1.140']] as $place => [$height, $bind]) {
            $example->measures($place, 'installed_height', $height)->measures($place, 'bind_height', $bind)
                ->measures($place, 'net_lift', '0.560')->measures($place, 'wire_diameter', 'A1-E1' === $place ? '0.218' : '0.190');
        }
        $figures = self::of($example, 'A1-E1', 'A2-E1')->figures;
        self::assertSame(['travel_to_bind', ['A2-E1']], [$figures[0]->code, $figures[0]->outsideOfOther]);
        $scale = $figures[0]->scale;
        self::assertNotNull($scale);
        self::assertSame($scale->one[0], $scale->one[2], 'one station has no spread');
        self::assertCount(1, $scale->ends, 'travel has a least');
        self::assertGreaterThan($scale->ends[0], $scale->one[1]);
        self::assertLessThan($scale->ends[0], $scale->other[1], 'what is outside lies beyond the end of the good values');
        self::assertEqualsWithDelta(
            [0.08, 0.92], [
                min($scale->one[0], $scale->other[0], ...$scale->ends), max($scale->one[2], $scale->other[2], ...$scale->ends),
            ], 1e-9, 'the scale is used from end to end',
        );
        self::assertSame([], $figures[1]->scale?->ends, 'what is read has no limit of its own');
        $byGauge = array_map(static fn (ComparedFigure $one): float => $one->byGauge ?? 0.0, $figures);
        self::assertGreaterThan($figures[0]->byGauge, max(0.0, ...$byGauge));
    }

    /** This failure against an earlier one: the same station of two cases. */
    public function testStationsOfTwoCasesAreHeldAgainstEachOther(): void
    {
        $now = Example::pushrodEight()->measures('A1-E1', 'installed_height', '1.740')->shows('coils_bright', 3, 'A1-E1');
        $then = Example::pushrodEight()->measures('A1-E1', 'installed_height', '1.800')->shows('coils_bright', 0, 'A1-E1')
            ->measures('B1-E1', 'installed_height', '1.900');
        $of = static fn (Example $example, string $code): Sample => new Sample(
            $example->bench(), Group::of($example->bench(), $code) ?? throw new \LogicException($code),
        );
        $compared = Comparison::of(Example::knowledge(), $of($then, 'A1-E1'), $of($now, 'A1-E1'));
        self::assertSame(['installed height'], self::names($compared));
        self::assertEqualsWithDelta(-0.060 * 0.0254, $compared->figures[0]->difference->base, 1e-9);
        self::assertSame(['coils_bright'], array_map(static fn (ComparedSign $sign): string => $sign->sign, $compared->signs));
        self::assertSame([], Comparison::of(Example::knowledge(), $of($then, 'A1-E1'), $of($then, 'A1-E1'))->figures);
    }

    /** Springs of a set on the bench: loads at one height only, the rate that follows, and against those that stand in the engine. */
    public function testSpringsOffTheEngineAreHeldAgainstEachOtherAndAgainstFittedOnes(): void
    {
        $example = Example::pushrodEight()
            ->measures('loose-a', 'load_seat', '120', '1.900')->measures('loose-a', 'load_open', '281', '1.389')
            ->measures('loose-b', 'load_seat', '140', '1.900')->measures('loose-b', 'load_open', '333', '1.300')
            ->measures('loose-b', 'free_height', '2.300')->measures('A1-E1', 'load_seat', '150', '1.900')
            ->measures('A1-I1', 'load_seat', '120', '1.900');
        $codes = array_map(static fn (Group $one): string => $one->code, Group::all($example->bench()));
        self::assertSame(['off-engine', 'loose-a', 'loose-b'], array_slice($codes, -3));
        self::assertSame(['loose-a', 'loose-b'], Group::of($example->bench(), 'off-engine')->places ?? null);
        $springs = self::of($example, 'loose-a', 'loose-b');
        self::assertEqualsCanonicalizing(['seat load', 'rate'], self::names($springs), 'not the loads at two open heights');
        $rate = array_column($springs->figures, null, 'code')['rate'];
        self::assertEqualsWithDelta((333 - 140) / 0.6 - (281 - 120) / 0.511, $rate->difference->base / 175.126835, 0.01);
        self::assertSame(['seat load'], self::names(self::of($example, 'loose-a', 'A1-E1')));
        self::assertSame([], self::names(self::of($example, 'loose-a', 'A1-I1')), 'alike, of whichever kind the station is');
        self::assertNull(Group::of($example->bench(), 'loose-z'));
        self::assertNull(Group::of(Example::pushrodEight()->bench(), 'off-engine'));
        self::assertSame(
            ['loose-a'], Group::of(Example::pushrodEight()->measures('loose-a', 'free_height', '2.3')->bench(), 'loose-a')->places ?? null,
        );
    }

    /** Swept springs are held against each other at the same two heights. */
    public function testSweptSpringsAreHeldAgainstEachOther(): void
    {
        $example = Example::pushrodEight();
        foreach (['loose-a' => 0.0, 'loose-b' => 120.0] as $place => $more) {
            $example = $example->records(EntryKind::Sweep, new Slot($place, 'spring', 'sweep', 'outer'), [
                'points' => array_map(static fn (int $i): array => [48 - 0.3 * $i, 500 + $more + 9 * $i], range(0, 60)),
                'heightUnit' => 'mm', 'loadUnit' => 'N', 'gauge' => Example::knowledge()->gauges['spring_tester']->toArray(),
            ]);
        }
        $springs = self::of($example, 'loose-a', 'loose-b');
        self::assertSame(
            ['load_seat_swept', 'load_open_swept'], array_map(static fn (ComparedFigure $one): string => $one->code, $springs->figures),
            'the same rate',
        );
        foreach ($springs->figures as $figure) {
            self::assertEqualsWithDelta(120.0, $figure->difference->base, 1.0);
            self::assertStringContainsString(', swept', $figure->what);
        }
        $longer = Example::pushrodEight()->records(EntryKind::Sweep, new Slot('loose-a', 'spring', 'sweep', 'outer'), [
            'points' => array_map(static fn (int $i): array => [50 - 0.3 * $i, 900 + 9 * $i], range(0, 60)),
            'heightUnit' => 'mm', 'loadUnit' => 'N', 'gauge' => Example::knowledge()->gauges['spring_tester']->toArray(),
        ]);
        $sample = static fn (Example $of): Sample => new Sample(
            $of->bench(), Group::of($of->bench(), 'loose-a') ?? throw new \LogicException('No such spring.'),
        );
        self::assertSame(
            [], Comparison::of(Example::knowledge(), $sample($example), $sample($longer))->figures, 'loads at other heights are not alike',
        );
    }

    public function testSeveralStationsTogetherAreOneSide(): void
    {
        $bench = Example::pushrodEight()->bench();
        $some = Group::of($bench, 'A1-E1+B2+A1');
        self::assertSame(
            ['A1-E1', 'B2-E1', 'B2-I1', 'A1-I1'], $some->places ?? [],
            'each once',
        );
        self::assertStringContainsString(', ', $some->name ?? '');
        self::assertNull(Group::of($bench, 'A1-E1+A9'));
        self::assertNull(Group::of($bench, ''));
    }

    public function testSignsAndWordsAreHeldAgainstEachOther(): void
    {
        $example = Example::pushrodEight()->shows('coils_bright', 3, 'A1-E1')->looks('A2-E1', 'spring')
            ->shows('tip_peened', 2, 'A1-E1', 'A2-E1')->shows('lobe_worn', 2, 'A1-E1')
            ->answers('A1-E1', 'lock_kind', 'clamping')->answers('A2-E1', 'lock_kind', 'butting')
            ->answers('A1-E1', 'seal_type', 'positive')->answers('A2-E1', 'seal_type', 'positive');
        $compared = self::of($example, 'A1-E1', 'A2-E1');
        self::assertSame(
            [['coils_bright', 3, 0], ['lobe_worn', 2, null]],
            array_map(static fn (ComparedSign $one): array => [$one->sign, $one->one?->value, $one->other?->value], $compared->signs),
            'worst first; alike is left out; not looked is told from nothing there',
        );
        self::assertSame(['lock_kind'], array_map(static fn (Mismatch $one): string => $one->code, $compared->words));
    }
}
