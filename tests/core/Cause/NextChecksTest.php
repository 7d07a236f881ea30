<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Cause;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Cause\NextCheck;
use MuteTapper\Core\Cause\NextChecks;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Teardown\StepRecord;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

final class NextChecksTest extends TestCase
{
    private static function openBetweenTwo(): Example
    {
        return Archetypes::all()['a locator that is not on the card']['case'];
    }

    /** @return array<string, NextCheck> by code */
    private static function of(Example $example): array
    {
        return array_column(
            array_map(static fn (NextCheck $one): array => [$one->check->code, $one], Assessment::of(
                $example->case(), Example::knowledge(),
            )->nextChecks()), 1, 0,
        );
    }

    /** The check that separates what it is open between comes first, and making it does what was said it would. */
    public function testWhatSeparatesIsProposedAndDoesWhatItSaid(): void
    {
        $checks = self::of(self::openBetweenTwo());
        self::assertSame('installed_height', array_key_first($checks));
        $first = $checks['installed_height'];
        self::assertSame(['A2-E1'], $first->stations);
        self::assertSame('height_short', $first->sign);
        self::assertSame('installed_height_small', $first->found->members[0]->cause);
        self::assertSame('locator_unlisted', $first->clear->members[0]->cause);

        $then = Assessment::of(
            self::openBetweenTwo()->measures('A2-E1', 'installed_height', '1.740')->case(),
            Example::knowledge(),
        )->ranking();
        self::assertSame('installed_height_small', $then->causes[0]->cause->code);
        self::assertEqualsWithDelta($first->found->probability, $then->causes[0]->probability, 0.15);
        self::assertArrayNotHasKey('installed_height', self::of(
            self::openBetweenTwo()->measures('A2-E1', 'installed_height', '1.740'),
        ), 'what is known is not asked again');
    }

    /** Shannon's mutual information as H(result) − H(result | cause), where the code takes H(cause) − H(cause | result). */
    public function testTheGainIsTheMutualInformationTakenTheOtherWayRound(): void
    {
        $assessment = Assessment::of(self::openBetweenTwo()->case(), Example::knowledge());
        $ranking = $assessment->ranking();
        $next = new NextChecks($ranking, $assessment->case->engine, Example::knowledge()->signs);
        $gain = new \ReflectionMethod($next, 'gain');
        $chances = new \ReflectionMethod($next, 'chances');
        $shares = new \ReflectionProperty($next, 'shares');
        /** @var list<float> $of */
        $of = $chances->invoke($next, 'height_short');
        /** @var list<float> $weights */
        $weights = $shares->getValue($next);
        self::assertEqualsWithDelta(1.0, array_sum($weights), 1e-12);
        $h = static fn (float $p): float => -$p * log($p, 2) - (1 - $p) * log(1 - $p, 2);
        $mean = array_sum(array_map(static fn (float $w, float $p): float => $w * $p, $weights, $of));
        $left = array_sum(array_map(static fn (float $w, float $p): float => $w * $h($p), $weights, $of));
        self::assertEqualsWithDelta($h($mean) - $left, $gain->invoke($next, [$of]), 1e-12);
    }

    public function testNothingIsProposedThatCannotBeDoneNowOrIsNotThere(): void
    {
        $told = Example::pushrodEight()->shows('misfire_cold', 2)
            ->shows('compression_low', 0, 'A1', 'A2', 'A3', 'A4', 'B1', 'B2', 'B3', 'B4')->answers('engine', 'vacuum_needle', 'steady');
        $checks = self::of($told);
        self::assertSame(['mirror', 'ignition_swap'], array_keys($checks), 'every number is clean: look with a mirror, then worth less');
        self::assertSame('spring_broken', $checks['mirror']->sign, 'nobody has said whether one is broken');
        self::assertSame([], $checks['mirror']->clear->members);
        self::assertGreaterThan(0.9, $checks['mirror']->clear->probability, 'with nothing in the mirror nothing listed is likelier still');
        self::assertArrayNotHasKey('spring_tester', $checks, 'the springs are still in');
        self::assertArrayNotHasKey('element_load', $checks, 'solid lifters have no element');
        foreach ($checks as $check) {
            self::assertTrue($check->check->belongsTo($told->engine()), $check->check->code);
        }

        $off = self::of($told->records(EntryKind::Step, StepRecord::slot('springs_off'), ['state' => 'done'])
            ->records(EntryKind::Step, StepRecord::slot('head_off'), ['state' => 'done']));
        self::assertArrayHasKey('spring_tester', $off);
        self::assertArrayNotHasKey('mirror', $off, 'nobody needs a mirror with the head on the bench');
    }

    public function testAnEmptyCaseProposesNothingAndALeaderOnlyWhatTells(): void
    {
        self::assertSame([], self::of(Example::pushrodEight()));
        foreach (self::of(Archetypes::all()['anti-wear too low']['case']) as $check) {
            self::assertGreaterThanOrEqual(NextChecks::LEAST_BITS, $check->bits);
        }
    }

    public function testWorthIsBitsForTheMinutesOfAllThePlaces(): void
    {
        foreach (self::of(self::openBetweenTwo()) as $check) {
            $places = 'station' === $check->check->site->value ? max(1, \count($check->stations)) : 1;
            self::assertEqualsWithDelta($check->bits / ($check->check->minutes * $places + 15), $check->worth, 1e-12);
        }
    }
}
