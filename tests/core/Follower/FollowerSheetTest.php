<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Follower;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Knowledge\ValueState;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Change;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** Followers: fit, face, and what a hydraulic element does. */
final class FollowerSheetTest extends TestCase
{
    public function testFitInTheBore(): void
    {
        $bench = Example::pushrodEight()->tests('A1-I1', 'follower_bore', '0.8438')->tests('A1-I1', 'follower_outside', '0.8422')
            ->tests('A1-E1', 'follower_bore', '0.8438')->tests('A1-E1', 'follower_outside', '0.8434')->bench();
        self::assertSame(Verdict::Inside, $bench->margin('A1-I1', 'follower_clearance')?->verdict);
        self::assertSame(Verdict::Outside, $bench->margin('A1-E1', 'follower_clearance')?->verdict, 'It sticks.');
    }

    public function testADishedFaceIsOutside(): void
    {
        $bench = Example::pushrodEight()->tests('A1-I1', 'face_crown', '-0.0020')->tests('A1-E1', 'face_crown', '0.0015')->bench();
        self::assertSame(Verdict::Outside, $bench->margin('A1-I1', 'face_crown')?->verdict);
        self::assertSame(Verdict::Inside, $bench->margin('A1-E1', 'face_crown')?->verdict);
    }

    public function testEachEngineHasTheColumnsOfItsFollowers(): void
    {
        $has = static fn (Example $example): array => array_values(array_filter(
            array_keys($example->bench()->sheets->columns),
            static fn (string $code): bool => in_array($code, ['face_crown', 'plunger_travel', 'leak_down_time', 'follower_bore'], true)
                && $example->bench()->sheets->columns[$code]->isFittedTo($example->engine()),
        ));
        self::assertSame(['follower_bore', 'face_crown'], $has(Example::pushrodEight()));
        self::assertSame(['follower_bore', 'plunger_travel', 'leak_down_time'], $has(Example::hydraulicRollerEight()));
        self::assertSame([], $has(new Example(['layout' => 'inline', 'drive' => 'finger', 'cylinders' => 4, 'rocker_ratio' => 1.8])));
    }

    /** What an engine cannot have is not “not measured” there. */
    public function testNothingIsJudgedThatTheEngineCannotHave(): void
    {
        $judged = static fn (Example $example, string $value): bool => $example->bench()->marginsOf($value) !== [];
        self::assertTrue($judged(Example::pushrodEight(), 'face_crown'));
        self::assertFalse($judged(Example::hydraulicRollerEight(), 'face_crown'));
        self::assertFalse($judged(Example::pushrodEight(), 'leak_down_time'));
        self::assertFalse($judged(Example::pushrodEight(), 'plunger_travel_from_middle'), 'what follows from it neither');
        self::assertFalse($judged(Example::hydraulicRollerEight(), 'lash_from_claim'));
        $fingers = new Example(['layout' => 'inline', 'drive' => 'finger', 'cylinders' => 4, 'rocker_ratio' => 1.8]);
        self::assertFalse($judged($fingers, 'follower_clearance'));
        self::assertTrue($judged(Example::bucketFour(), 'travel_to_bind'), 'its net lift follows without a rocker');
    }

    /** Too much and too little are told apart, and a pushrod that is longer presses the plunger in further. */
    public function testPreloadTooMuchAndTooLittle(): void
    {
        $of = static fn (string $typed): Bench => Example::hydraulicRollerEight()->tests('A1-I1', 'preload', $typed)->bench();
        self::assertSame(Verdict::Inside, $of('0.040')->margin('A1-I1', 'preload')?->verdict);
        foreach (['0.095' => 'preload_much', '-0.010' => 'preload_little'] as $typed => $sign) {
            $example = Example::hydraulicRollerEight()->tests('A1-I1', 'preload', $typed);
            self::assertSame(Verdict::Outside, $example->bench()->margin('A1-I1', 'preload')?->verdict);
            $found = Example::knowledge()->signs[$sign]->measured[0];
            self::assertSame(['preload', 'preload_much' === $sign ? ValueState::Loose : ValueState::Tight], [$found->value, $found->state]);
        }
        self::assertSame([], Example::pushrodEight()->bench()->marginsOf('preload'), 'solid followers have none');
        $longer = $of('0.040')->with(Change::fromNode(
            Node::root([['places' => ['A1-I1'], 'name' => 'pushrod_length', 'by' => ['number' => 0.03, 'unit' => 'in']]]),
            Example::hydraulicRollerEight()->engine(), Example::hydraulicRollerEight()->bench()->sheets,
        ));
        $moved = $longer->value('A1-I1', 'preload');
        self::assertInstanceOf(Given::class, $moved);
        self::assertEqualsWithDelta(0.070 * 0.0254, $moved->value->base, 1e-9);
        self::assertSame(Verdict::Outside, $longer->margin('A1-I1', 'preload')?->verdict);
    }

    public function testAnElementThatBleedsDownAtOnce(): void
    {
        $bench = Example::hydraulicRollerEight()->tests('A1-I1', 'leak_down_time', '3')->tests('A1-E1', 'leak_down_time', '40')->bench();
        self::assertSame(Verdict::Outside, $bench->margin('A1-I1', 'leak_down_time')?->verdict);
        self::assertSame(Verdict::Inside, $bench->margin('A1-E1', 'leak_down_time')?->verdict);
    }
}
