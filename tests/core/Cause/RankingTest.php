<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Cause;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Cause\LedgerMaker;
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

    /** A spring that went solid because the height is short. */
    private static function bound(): Example
    {
        return Example::pushrodEight()
            ->sees('A2-E1', 'spring', 'coils_bright', 3)->sees('A2-E1', 'spring_seat', 'end_coil_dug', 2)
            ->measures('A2-E1', 'installed_height', '1.720')->measures('A2-E1', 'bind_height', '1.150')
            ->measures('A2-E1', 'net_lift', '0.565')
            ->claims('kind-E', 'installed_height', '1.800');
    }

    public function testAnEmptyCaseHasNoLeader(): void
    {
        $ranking = self::rank(Example::pushrodEight());
        self::assertSame(Standing::NotEnough, $ranking->standing);
        self::assertSame([], $ranking->leading);
        self::assertEqualsWithDelta(1.0, $ranking->unexplained, 1e-9);
    }

    public function testOneTraceIsNotEnough(): void
    {
        self::assertSame(Standing::NotEnough, self::rank(Example::pushrodEight()->sees('A1-E1', 'valve', 'tip_peened', 1))->standing);
    }

    public function testAMechanismIsEstablishedWhileItsRootIsOpen(): void
    {
        $ranking = self::rank(
            Example::pushrodEight()->sees('A2-E1', 'spring', 'coils_bright', 3)->sees('A2-E1', 'spring_seat', 'end_coil_dug', 2),
        );
        self::assertSame(Standing::OpenBetween, $ranking->standing);
        self::assertContains('coil_bind', $ranking->established);
        self::assertContains('installed_height_small', $ranking->leading);
        self::assertContains('lift_beyond_spring', $ranking->leading);
    }

    public function testADirectSignForTheRootMakesItLead(): void
    {
        $ranking = self::rank(self::bound());
        self::assertSame(Standing::Leader, $ranking->standing);
        self::assertSame(['installed_height_small'], $ranking->leading);
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

    public function testMoreStationsEquallyMarkedDoNotMultiplyTheWeight(): void
    {
        $many = self::bound();
        foreach (['A1-E1', 'A3-E1', 'B1-E1', 'B4-E1'] as $place) {
            $many->sees($place, 'spring', 'coils_bright', 3);
        }
        self::assertEqualsWithDelta(
            self::gain(self::rank(self::bound()), 'installed_height_small'), self::gain(self::rank($many), 'installed_height_small'), 1e-9,
        );
    }

    public function testOneContradictoryFindingLowersAndDoesNotFlip(): void
    {
        $before = self::rank(self::bound());
        $after = self::rank(self::bound()->sees('A2-E1', 'pushrod', 'pushrod_bent', 0));
        self::assertLessThan(self::gain($before, 'installed_height_small'), self::gain($after, 'installed_height_small'));
        self::assertSame($before->leading, $after->leading);
        self::assertSame(Standing::Leader, $after->standing);
    }

    public function testTwoIndependentTroublesAreNamedTogether(): void
    {
        $ranking = self::rank(
            self::bound()
                ->sees('A1', 'chamber', 'deck_gas_track', 3)->sees('A1', 'chamber', 'chamber_washed', 3)
                ->sees('A1', 'chamber', 'compression_low', 3),
        );
        $leading = $ranking->leading;
        sort($leading);
        self::assertSame(['gasket_or_rings', 'installed_height_small'], $leading);
    }

    public function testWhatTheLeaderDoesNotExplainIsSaid(): void
    {
        self::assertContains('spring_rust', self::rank(self::bound()->sees('B1-I1', 'spring', 'spring_rust', 3))->unexplainedSigns);
    }

    public function testTheBuildExcludesWithTheReason(): void
    {
        $ranking = self::rank(self::bound());
        self::assertSame('hydraulic', $ranking->excluded['element_stuck_up']);
        self::assertSame('roller', $ranking->excluded['roller_fatigue']);
        self::assertArrayNotHasKey('roller_fatigue', self::rank(Example::hydraulicRollerEight())->excluded);
    }

    /** @return iterable<string, array{Example}> */
    public static function cases(): iterable
    {
        yield 'bound' => [self::bound()];
        yield 'float' => [self::archetypes()['spring_weak']];
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

    /** The lines of each ledger add up to that cause's gain, within a tenth of a deciban. */
    #[DataProvider('cases')]
    public function testLedgerLinesAddUp(Example $example): void
    {
        $assessment = self::assess($example);
        $maker = new LedgerMaker($assessment->model());
        foreach ($assessment->ranking()->causes as $ranked) {
            $ledger = $maker->of($ranked->cause->code);
            self::assertEqualsWithDelta($ranked->gain, $ledger->evidence(), 0.1, $ranked->cause->code);
            self::assertLessThan(0, $ledger->start);
        }
    }

    public function testNoSingleFindingWeighsMoreThanItMay(): void
    {
        foreach (self::archetypes() as $code => $example) {
            $assessment = self::assess($example);
            $maker = new LedgerMaker($assessment->model());
            foreach ($assessment->ranking()->causes as $ranked) {
                foreach ($maker->of($ranked->cause->code)->lines as $sign => $decibans) {
                    self::assertLessThan(18.5, $decibans, $code.'/'.$sign);
                    self::assertGreaterThan(!Example::knowledge()->signs[$sign]->isFromBench() ? -11.5 : -20.5, $decibans, $code.'/'.$sign);
                }
            }
        }
    }

    public function testProbabilitiesArePossible(): void
    {
        foreach (self::archetypes() as $example) {
            $ranking = self::rank($example);
            $total = $ranking->unexplained + array_sum(array_column($ranking->explanations, 'probability'));
            self::assertEqualsWithDelta(1.0, $total, 1e-9);
            foreach ($ranking->mechanisms as $probability) {
                self::assertGreaterThanOrEqual(0.0, $probability);
                self::assertLessThanOrEqual(1.0 + 1e-9, $probability);
            }
        }
    }

    /**
     * Hand-written cases with a known answer, at least one a family, several with a red herring. Invented.
     *
     * @return array<string, Example> by the cause that must lead
     */
    public static function archetypes(): array
    {
        $weak = Example::bucketFour()->claims('kind-E', 'load_seat', '62', '1.440');
        foreach (['A1-E1' => '47', 'A2-E1' => '48', 'A3-E1' => '50', 'A4-E1' => '49'] as $place => $load) {
            $weak->measures($place, 'load_seat', $load, '1.440')
                ->sees($place, 'seat', 'seat_hammered', 2)->sees($place, 'valve', 'tip_peened', 2);
        }

        return [
            'spring_weak' => $weak->sees('engine', 'running', 'overspeed_seen', 0),
            'over_speed' => Example::bucketFour()->sees(
                'engine', 'running', 'overspeed_seen', 3,
            )->sees('A1-E1', 'seat', 'seat_hammered', 2)->sees('A2-E1', 'lash_shim', 'lash_shim_thrown', 3)
            ->sees('A2-E1', 'valve', 'tip_peened', 2)->sees('A1-E1', 'spring', 'spring_rust', 1),
            'gas_force' => Example::bucketFour()->sees(
                'engine', 'running', 'overrun_bangs', 3,
            )->sees('A1-E1', 'seat', 'seat_hammered', 3)->sees('A2-E1', 'lobe', 'flank_landing', 2)
            ->sees('engine', 'running', 'overspeed_seen', 0),
            'installed_height_small' => self::bound(),
            'lift_beyond_spring' => Example::pushrodEight()->sees(
                'A2-E1', 'spring', 'coils_bright', 3,
            )->measures('A2-E1', 'net_lift', '0.640')->claims('kind-E', 'net_lift', '0.565')
                ->measures('A2-E1', 'installed_height', '1.800')->measures('A2-E1', 'bind_height', '1.160')
                ->claims('kind-E', 'installed_height', '1.800'),
            'phase_off' => Example::bucketFour()->sees('engine', 'timing', 'phase_off_card', 3)->sees(
                'A1-I1', 'piston_relief', 'piston_print', 3,
            )->sees('A2-I1', 'piston_relief', 'piston_print', 2)->sees('A1-I1', 'valve', 'stem_bent', 3),
            'retainer_over_travel' => Example::pushrodEight()->sees(
                'A1-E1', 'retainer', 'retainer_printed', 3,
            )->sees('A1-E1', 'seal', 'seal_torn', 3)
                ->measures('A1-E1', 'installed_height', '1.800')->measures('A1-E1', 'seal_height', '1.000')
                ->measures('A1-E1', 'retainer_depth', '0.240')->measures('A1-E1', 'net_lift', '0.560'),
            'antiwear_low' => Example::pushrodEight()->sees('A1-E1', 'lobe', 'lobe_worn', 3)->sees(
                'A3-E1', 'follower', 'follower_dished', 3,
            )->sees('engine', 'oil', 'phosphorus_low', 3)->sees('engine', 'oil', 'oil_feed_blocked', 0)->looks('A1-E1', 'valve'),
            'oil_starved' => Example::pushrodEight()->sees('A1-E1', 'lobe', 'lobe_worn', 3)->sees(
                'engine', 'oil', 'oil_feed_blocked', 3,
            )->sees('A1-E1', 'follower', 'skirt_scuffed', 2)->sees('engine', 'oil', 'phosphorus_low', 0),
            'spring_pocket_misfit' => Example::pushrodEight()->sees(
                'A1-E1', 'spring', 'spring_rubbed', 3,
            )->measures('A1-E1', 'pocket_diameter', '1.540')->measures('A1-E1', 'outside_diameter', '1.541'),
            'lock_groove_mismatch' => Example::pushrodEight()->sees('A1-E1', 'locks', 'locks_odd', 3)->sees(
                'A1-E1', 'valve', 'groove_rolled', 3,
            )->sees('A1-E1', 'retainer', 'bore_belled', 2)->sees('A1-E1', 'valve', 'valve_dropped', 3),
            'element_stuck_up' => Example::hydraulicRollerEight()->sees('B1-E1', 'follower', 'element_stuck', 3)->sees(
                'B1-E1', 'retainer', 'retainer_printed', 2,
            )->sees('B1-E1', 'seat', 'leaks_light', 3),
            'roller_fatigue' => Example::hydraulicRollerEight()->sees('A4-I1', 'follower', 'roller_flat', 3)->sees(
                'A4-I1', 'follower', 'needles_loose', 3,
            )->sees('engine', 'oil', 'filter_metal', 3)->sees('engine', 'oil', 'oil_feed_blocked', 0),
            'spring_nick' => Example::pushrodEight()->sees('A1-I1', 'spring', 'spring_broken', 3)->sees(
                'A1-I1', 'spring', 'fracture_nick', 3,
            )->sees('A1-I1', 'spring', 'spring_rust', 2)->sees('engine', 'running', 'misfire_cold', 2),
            'spring_fatigue' => Example::pushrodEight()->sees('A1-I1', 'spring', 'spring_broken', 3)->sees(
                'A1-I1', 'spring', 'fracture_fatigue', 3,
            )->sees('A1-I1', 'spring', 'fracture_nick', 0)->sees('A1-I1', 'spring', 'coils_bright', 0),
            'valve_heat' => Example::bucketFour()->sees('A3-E1', 'valve', 'stem_necked', 3)->sees(
                'A3-E1', 'valve', 'stem_heat_colour', 3,
            )->sees('A3-E1', 'valve', 'face_burnt', 3),
            'pushrod_not_seated' => Example::hydraulicRollerEight()->sees('A2-I1', 'pushrod', 'pushrod_out', 3)->sees(
                'engine', 'running', 'ticks_always', 3,
            )->sees('engine', 'running', 'new_since_assembly', 3),
            'foreign_object' => Example::bucketFour()->sees(
                'engine', 'tract', 'intake_pieces', 3,
            )->sees('A2', 'piston', 'crown_struck', 3)->looks('A2-E1', 'valve', 'locks')->looks('A2-E2', 'valve', 'locks')
            ->looks('A2-I1', 'valve', 'locks')->looks('A2-I2', 'valve', 'locks'),
            'gasket_or_rings' => Example::pushrodEight()->sees('A1', 'chamber', 'deck_gas_track', 3)->sees(
                'A2', 'chamber', 'compression_low', 2,
            )->looks('A1-E1', 'valve', 'seat', 'spring'),
        ];
    }

    public function testArchetypesAreRankedRight(): void
    {
        foreach (self::archetypes() as $code => $example) {
            $ranking = self::rank($example);
            self::assertSame(
                $code, $ranking->causes[0]->cause->code,
                \sprintf(
                    '%s should come first; %s does with %.2f', $code, $ranking->causes[0]->cause->code, $ranking->causes[0]->probability,
                ),
            );
            self::assertNotSame(Standing::NotEnough, $ranking->standing, $code);
        }
    }

    public function testArchetypesCoverEveryFamily(): void
    {
        $families = array_map(
            static fn (string $code): string => Example::knowledge()->network->causes[$code]->family, array_keys(self::archetypes()),
        );
        self::assertSame([], array_diff(array_keys(Example::knowledge()->families), [...$families, 'assembly', 'foreign', 'outside']));
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
