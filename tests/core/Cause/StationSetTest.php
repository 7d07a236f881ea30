<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Cause;

use MuteTapper\Core\Cause\StationSet;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Sets of stations do what PHP does with lists of their numbers, on engines of any size. */
final class StationSetTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function sizes(): iterable
    {
        foreach ([1, 7, 8, 9, 32, 80] as $size) {
            yield $size.' stations' => [$size];
        }
    }

    #[DataProvider('sizes')]
    public function testTheyAreAsListsOfNumbers(int $size): void
    {
        mt_srand($size);
        for ($round = 0; $round < 60; ++$round) {
            [$a, $b] = [self::some($size), self::some($size)];
            [$one, $other] = [StationSet::of($size, $a), StationSet::of($size, $b)];
            $both = array_values(array_intersect($a, $b));
            $either = array_values(array_unique([...$a, ...$b]));
            sort($either);
            self::assertSame($a, $one->numbers());
            self::assertSame($either, $one->or($other)->numbers());
            self::assertSame($either, StationSet::union($size, [$one, $other])->numbers());
            self::assertSame($both, $one->and($other)->numbers());
            self::assertSame(array_values(array_diff($a, $b)), $one->without($other)->numbers());
            self::assertSame([count($a), count($either), count($both)], [$one->count, $one->or($other)->count, $one->common($other)]);
            self::assertSame($both !== [], $one->touches($other));
            self::assertSame($both !== [], $one->and($other)->touches($one->or($other)), 'a set made of others');
            self::assertSame(count($both) === count($b), $one->holds($other));
            self::assertSame([$a === $b, $a === $b], [$one->equals($other), $one->key() === $other->key()]);
            self::assertSame($a === [], $one->isEmpty());
        }
        self::assertSame([[], false], [StationSet::none($size)->numbers(), StationSet::none($size)->touches(StationSet::of($size, [0]))]);
    }

    /** @return list<int> ascending, seldom many */
    private static function some(int $size): array
    {
        $share = mt_rand(0, 3) / 3;

        return array_values(array_filter(range(0, $size - 1), static fn (): bool => mt_rand(1, 1000) <= 1000 * $share));
    }
}
