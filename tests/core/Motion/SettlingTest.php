<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Motion;

use MuteTapper\Core\Motion\Settling;
use MuteTapper\Core\Motion\SurgingSpring;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Where something settles is known from three steps, if it dies away as a swing does. */
final class SettlingTest extends TestCase
{
    /** Extrapolation of degree two is exact for what turns and shrinks about a point in a plane, wherever in space that lies. */
    #[DataProvider('swings')]
    public function testThreeStepsOfASwingTellWhereItEnds(float $left, float $angle): void
    {
        [$end, $settling] = [[0.3, -2.0, 5.0], new Settling()];
        $state = self::at($end, 0.7, 3.0);
        for ($turn = 1; $turn <= 3; ++$turn) {
            $next = self::after($state, $end, $left, $angle);
            $toCome = $settling->toCome(array_map(static fn (float $new, float $old): float => $new - $old, $next, $state));
            $state = $next;
            self::assertCount($turn < 3 ? 0 : 3, $toCome);
        }
        foreach ($end as $i => $at) {
            self::assertEqualsWithDelta($at, $state[$i] + ($toCome[$i] ?? INF), 1e-12);
        }
    }

    /** @return iterable<string, array{float, float}> what is left after a turn, and by what angle it has swung on */
    public static function swings(): iterable
    {
        yield 'a slow one' => [0.9, 0.3];
        yield 'to the other side' => [0.7, 3.0];
        yield 'nearly gone' => [0.05, 1.0];
    }

    #[DataProvider('others')]
    public function testWhatDoesNotSurelyDieAwayEndsNowhere(float $left, float $angle): void
    {
        [$state, $settling] = [self::at([0.0, 0.0, 0.0], 1.0, 1.0), new Settling()];
        for ($turn = 0; $turn < 9; ++$turn) {
            $next = self::after($state, [0.0, 0.0, 0.0], $left, $angle);
            self::assertSame([], $settling->toCome(array_map(static fn (float $new, float $old): float => $new - $old, $next, $state)));
            $state = $next;
        }
    }

    /** @return iterable<string, array{float, float}> */
    public static function others(): iterable
    {
        yield 'grows' => [1.02, 0.5];
        yield 'goes on' => [1.0, 2.0];
        yield 'hardly dies away' => [0.98, 0.5];
        yield 'flips to and fro' => [1.0, M_PI];
    }

    public function testWhereASecondStepTellsNothingNewThereIsNoEnd(): void
    {
        $settling = new Settling();
        self::assertSame([[], [], []], [$settling->toCome([0.0, 0.0]), $settling->toCome([0.0, 0.0]), $settling->toCome([1.0, 0.0])]);
    }

    public function testStepsBeforeABreakDoNotCount(): void
    {
        $settling = new Settling();
        $settling->toCome([8.0, 1.0]);
        $settling->toCome([4.0, 2.0]);
        $settling->anew();
        self::assertSame([], $settling->toCome([2.0, 1.0]));
    }

    /** What forty turns were too few for, and what does not settle in fifteen hundred. */
    public function testASpringThatSwingsForLongIsSeenToSettleAndOneThatVariesToVary(): void
    {
        foreach ([10100 => false, 7900 => false, 10600 => true] as $speed => $varies) {
            self::assertSame($varies, SurgingSpring::turn(Lobes::pushrod(135, 350)->withSurgeDamping(0.02), $speed)->varies, "{$speed}");
        }
    }

    /**
     * @param array{float, float, float} $end
     *
     * @return array{float, float, float} in a plane that stands askew
     */
    private static function at(array $end, float $x, float $y): array
    {
        return [$end[0] + $x, $end[1] + $y, $end[2] + 0.5 * $x - 0.2 * $y];
    }

    /**
     * @param array{float, float, float} $state
     * @param array{float, float, float} $end
     *
     * @return array{float, float, float}
     */
    private static function after(array $state, array $end, float $left, float $angle): array
    {
        [$x, $y] = [$state[0] - $end[0], $state[1] - $end[1]];
        [$cos, $sin] = [$left * cos($angle), $left * sin($angle)];

        return self::at($end, $x * $cos - $y * $sin, $x * $sin + $y * $cos);
    }
}
