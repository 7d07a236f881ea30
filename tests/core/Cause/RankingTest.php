<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Cause;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Cause\Explanations;
use MuteTapper\Core\Cause\ItemKind;
use MuteTapper\Core\Cause\LedgerMaker;
use MuteTapper\Core\Cause\LeftOver;
use MuteTapper\Core\Cause\RankedCause;
use MuteTapper\Core\Cause\Ranking;
use MuteTapper\Core\Cause\Standing;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RankingTest extends TestCase
{
    private static function assess(Example $example, bool $backwards = false): Assessment
    {
        return Assessment::of($example->case($backwards), Example::knowledge());
    }

    private static function rank(Example $example): Ranking
    {
        return self::assess($example)->ranking();
    }

    private static function gain(Ranking $ranking, string $cause): float
    {
        return self::ranked($ranking, $cause)->gain;
    }

    private static function ranked(Ranking $ranking, string $cause): RankedCause
    {
        foreach ($ranking->causes as $ranked) {
            if ($ranked->cause->code === $cause) {
                return $ranked;
            }
        }
        self::fail('Not ranked: '.$cause);
    }

    private static function bound(): Example
    {
        return Archetypes::bound();
    }

    public function testAnEmptyCaseHasNoLeader(): void
    {
        $ranking = self::rank(Example::pushrodEight());
        self::assertSame(Standing::NotEnough, $ranking->standing());
        self::assertSame([], $ranking->leading());
        self::assertEqualsWithDelta(1.0, $ranking->unexplained, 1e-9);
    }

    public function testOneTraceIsNotEnough(): void
    {
        self::assertSame(Standing::NotEnough, self::rank(Example::pushrodEight()->sees('A1-E1', 'valve', 'tip_peened', 1))->standing());
    }

    public function testAMechanismIsEstablishedWhileItsRootIsOpen(): void
    {
        $ranking = self::rank(
            Example::pushrodEight()->sees('A2-E1', 'spring', 'coils_bright', 3)->sees('A2-E1', 'spring_seat', 'end_coil_dug', 2),
        );
        self::assertSame(Standing::OpenBetween, $ranking->standing());
        self::assertContains('coil_bind', $ranking->established);
        self::assertContains('installed_height_small', $ranking->leading());
        self::assertContains('lift_beyond_spring', $ranking->leading());
    }

    public function testADirectSignForTheRootMakesItLead(): void
    {
        $ranking = self::rank(self::bound());
        self::assertSame(Standing::Leader, $ranking->standing());
        self::assertSame(['installed_height_small'], $ranking->leading());
    }

    public function testOrderOfEntryDoesNotMatter(): void
    {
        $forward = self::assess(self::bound())->ranking();
        $backward = self::assess(self::bound(), true)->ranking();
        foreach ($forward->causes as $i => $ranked) {
            self::assertSame($ranked->cause->code, $backward->causes[$i]->cause->code);
            self::assertEqualsWithDelta($ranked->probability, $backward->causes[$i]->probability, 1e-12);
        }
    }

    /** Sixteen marked stations are one sign with a wide spread: what changes is where the cause is, by a few decibans. */
    public function testMoreStationsEquallyMarkedDoNotMultiplyTheWeight(): void
    {
        $marked = static fn (string ...$places): Ranking => self::rank(
            Archetypes::bound()->sees('A2-E1', 'pushrod', 'pushrod_bent', 2)->shows('coil_clash', 2, ...$places),
        );
        $two = self::gain($marked('A1-E1', 'A2-E1'), 'installed_height_small');
        $eight = self::gain(
            $marked('A1-E1', 'A2-E1', 'A3-E1', 'A4-E1', 'B1-E1', 'B2-E1', 'B3-E1', 'B4-E1'), 'installed_height_small',
        );
        self::assertEqualsWithDelta($two, $eight, 8.0);
    }

    public function testOneContradictoryFindingLowersAndDoesNotFlip(): void
    {
        $before = self::rank(self::bound());
        $after = self::rank(self::bound()->sees('A2-E1', 'pushrod', 'pushrod_bent', 0));
        self::assertLessThan(self::gain($before, 'installed_height_small'), self::gain($after, 'installed_height_small'));
        self::assertSame($before->leading(), $after->leading());
        self::assertSame(Standing::Leader, $after->standing());
    }

    public function testWhatTheLeaderDoesNotExplainIsSaid(): void
    {
        $left = self::rank(self::bound()->sees('B1-I1', 'spring', 'spring_rust', 3))->leftOver();
        self::assertContains('spring_rust', array_map(static fn (LeftOver $one): string => $one->sign, $left));
    }

    /** A mark is explained by a cause only where the cause is: at its own stations, not at the others that carry the same mark. */
    public function testWhatTheLeaderDoesNotExplainIsSaidByStation(): void
    {
        $left = array_column(self::rank(
            Example::pushrodEight()->shows('spring_broken', 3, 'A1-I1', 'B4-E1')->shows('fracture_nick', 3, 'A1-I1')
                ->shows('fracture_nick', 0, 'B4-E1')->shows('spring_rust', 3, 'A1-I1'),
        )->leftOver(), null, 'sign');
        self::assertSame(['B4-E1'], $left['spring_broken']->places);
        self::assertFalse($left['spring_broken']->isWhole);
    }

    public function testTheBuildExcludesWithTheReason(): void
    {
        $ranking = self::rank(self::bound());
        self::assertSame('hydraulic', $ranking->model->excluded['element_stuck_up']);
        self::assertSame('roller', $ranking->model->excluded['roller_fatigue']);
        self::assertArrayNotHasKey('roller_fatigue', self::rank(Example::hydraulicRollerEight())->model->excluded);
    }

    /** @return iterable<string, array{Example}> */
    public static function cases(): iterable
    {
        yield 'bound' => [self::bound()];
        yield 'float' => [Archetypes::all()['springs have set']['case']];
        yield 'placed, with marks elsewhere' => [Archetypes::all()['one weak spring does not hammer seven other seats']['case']];
        $everything = self::bound();
        foreach ($everything->engine()->stations as $station) {
            foreach ($everything->engine()->parts() as $part) {
                if (Site::Station === $part->site()) {
                    $everything->looks($station->code(), $part->value);
                }
            }
        }
        yield 'every part looked at' => [$everything];
    }

    /** The lines of each ledger add up to that cause's gain, within a tenth of a deciban; against another cause, to the difference. */
    #[DataProvider('cases')]
    public function testLedgerLinesAddUp(Example $example): void
    {
        $assessment = self::assess($example);
        $ranking = $assessment->ranking();
        $maker = new LedgerMaker($assessment->model(), $ranking->weighed);
        foreach (array_slice($ranking->causes, 0, 12) as $ranked) {
            $ledger = $maker->of($ranked->best);
            self::assertEqualsWithDelta($ranked->gain, $ledger->evidence(), 0.1, $ranked->cause->code);
            self::assertLessThan(0, $ledger->start);
            $against = $maker->of($ranked->best, $ranking->causes[0]->best);
            self::assertEqualsWithDelta($ranked->gain - $ranking->causes[0]->gain, $against->evidence(), 0.2, $ranked->cause->code);
        }
    }

    /** The starting weight holds the share of the place: among so many places it is somewhere. */
    public function testTheStartingWeightHoldsThePlace(): void
    {
        $assessment = self::assess(self::bound());
        $ranking = $assessment->ranking();
        $ledger = $assessment->ledger('installed_height_small');
        $share = self::ranked($ranking, 'installed_height_small')->best->share;
        self::assertLessThan(1.0, $share);
        $weight = Explanations::SINGLES * $assessment->model()->priors['installed_height_small'] * $share;
        self::assertEqualsWithDelta(10 * log10($weight / Explanations::NONE_ON_DAMAGE), $ledger->start, 1e-9);
    }

    public function testNoSingleFindingWeighsMoreThanItMay(): void
    {
        foreach (Archetypes::all() as $name => $archetype) {
            if (crc32($name) % 5 !== 0) {
                continue; // every fifth is enough, and takes its time
            }
            $assessment = self::assess($archetype['case']);
            $ranking = $assessment->ranking();
            $maker = new LedgerMaker($assessment->model(), $ranking->weighed);
            foreach (array_slice($ranking->causes, 0, 5) as $ranked) {
                $ledger = $maker->of($ranked->best);
                foreach ($ledger->lines as $sign => $decibans) {
                    $least = $assessment->items()[$sign]->kind === ItemKind::Bench ? -20.5 : -11.5;
                    self::assertLessThan(19.5, $decibans, $name.'/'.$sign);
                    self::assertGreaterThan($least, $decibans, $name.'/'.$sign);
                }
            }
        }
    }

    public function testProbabilitiesArePossible(): void
    {
        foreach (Archetypes::all() as $archetype) {
            $ranking = self::rank($archetype['case']);
            $total = $ranking->unexplained + array_sum(array_column($ranking->explanations, 'probability'));
            self::assertEqualsWithDelta(1.0, $total, 1e-9);
            foreach ($ranking->mechanisms() as $probability) {
                self::assertGreaterThanOrEqual(0.0, $probability);
                self::assertLessThanOrEqual(1.0 + 1e-9, $probability);
            }
        }
    }

    public function testEliminationStaysNarrow(): void
    {
        $example = Example::hydraulicRollerEight();
        foreach ($example->engine()->parts() as $part) {
            if (Part::Running !== $part && Site::Station === $part->site()) {
                $example->looks('A1-E1', $part->value);
            }
        }
        $width = self::assess($example)->model()->elimination->width();
        self::assertLessThanOrEqual(8, $width, 'events in one table');
    }
}
