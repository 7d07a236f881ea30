<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Follower;

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

    public function testAnElementThatBleedsDownAtOnce(): void
    {
        $bench = Example::hydraulicRollerEight()->tests('A1-I1', 'leak_down_time', '3')->tests('A1-E1', 'leak_down_time', '40')->bench();
        self::assertSame(Verdict::Outside, $bench->margin('A1-I1', 'leak_down_time')?->verdict);
        self::assertSame(Verdict::Inside, $bench->margin('A1-E1', 'leak_down_time')?->verdict);
    }
}
