<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Cause;

use MuteTapper\Core\Cause\Elimination;
use PHPUnit\Framework\TestCase;

/** Sums of small products of factors against plain enumeration of all states. */
final class EliminationTest extends TestCase
{
    private const EVENTS = 7;

    /** @var list<list<int>> */
    private array $scopes;
    /** @var array<int, array<int, list<float>>> tables by factor and effect */
    private array $tables;

    /** Every step, shared or not, touched by one or by both, yields what enumeration does. */
    public function testTwoTogetherAsIfSummedAtOnce(): void
    {
        mt_srand(1970);
        for ($network = 0; $network < 30; ++$network) {
            $elimination = $this->network();
            $acts = [];
            for ($i = 0; $i < 6; ++$i) {
                $acts[] = $this->act();
                self::assertEqualsWithDelta($this->sum($acts[$i]), $elimination->likelihood($acts[$i]), 1e-12);
            }
            foreach ($acts as $i => $one) {
                foreach ($acts as $j => $other) {
                    $shared = [];
                    foreach (array_intersect_key($one, $other) as $factor => $_) {
                        $shared[$factor] = mt_rand(0, 3);
                    }
                    $what = (string) json_encode([$this->scopes, $one, $other, $shared]);
                    $found = $elimination->likelihoodOfBoth(
                        $elimination->way($i, static fn (): array => $one), $elimination->way($j, static fn (): array => $other), $shared,
                    );
                    self::assertEqualsWithDelta($this->sum($shared + $one + $other), $found, 1e-12, $what);
                }
            }
        }
    }

    /** The mean of what a table is turned into, at a power of the evidence too. */
    public function testMeans(): void
    {
        mt_srand(1986);
        for ($network = 0; $network < 20; ++$network) {
            $elimination = $this->network();
            $act = $this->act();
            foreach ([$elimination, $elimination->powered(0.5)] as $which => $plan) {
                $way = $plan->way(0, static fn (): array => $act);
                $power = $which === 0 ? 1.0 : 0.5;
                foreach (array_keys($this->scopes) as $factor) {
                    $mean = $this->sum($act, $power, $factor) / $this->sum($act, $power);
                    self::assertEqualsWithDelta($mean, $plan->mean($way, $factor, self::turned(...)), 1e-12);
                }
            }
        }
    }

    /** A message is worked out once, whoever needs it. */
    public function testAlikeIsSummedOnce(): void
    {
        mt_srand(5);
        $elimination = $this->network();
        $act = $this->act();
        $elimination->likelihood($act);
        $worked = $elimination->worked;
        $elimination->likelihood($act);
        self::assertSame($worked, $elimination->worked);
        self::assertLessThanOrEqual(self::EVENTS, $elimination->width());
    }

    private function network(): Elimination
    {
        $this->scopes = $this->tables = [];
        for ($event = 0; $event < self::EVENTS; ++$event) {
            $this->scopes[] = $event === 0 || mt_rand(0, 3) === 0 ? [$event] : [mt_rand(0, $event - 1), $event];
        }
        for ($sign = 0; $sign < 6; ++$sign) {
            $scope = array_values(array_filter(range(0, self::EVENTS - 1), static fn (): bool => mt_rand(0, 4) === 0));
            $this->scopes[] = $sign === 0 ? [] : $scope;
        }
        foreach ($this->scopes as $factor => $scope) {
            for ($effect = 0; $effect < 4; ++$effect) {
                $this->tables[$factor][] = array_map(static fn (): float => mt_rand(1, 1000) / 1000, range(1, 1 << \count($scope)));
            }
        }

        return new Elimination($this->scopes, self::EVENTS, fn (int $factor, int $effect, float $power): array => array_map(
            static fn (float $p): float => $p ** $power, $this->tables[$factor][$effect],
        ));
    }

    /** @return array<int, int> effects on some factors, nought on some of these */
    private function act(): array
    {
        $act = [];
        foreach (array_keys($this->scopes) as $factor) {
            if (mt_rand(0, 2) > 0) {
                $act[$factor] = mt_rand(0, 3);
            }
        }

        return $act;
    }

    /**
     * @param list<float> $table
     *
     * @return list<float>
     */
    private static function turned(array $table): array
    {
        return array_map(static fn (float $p): float => $p * log($p), $table);
    }

    /**
     * @param array<int, int> $effects
     * @param int $of the factor that is turned
     */
    private function sum(array $effects, float $power = 1.0, int $of = -1): float
    {
        $sum = 0.0;
        for ($state = 0; $state < 1 << self::EVENTS; ++$state) {
            $product = 1.0;
            foreach ($this->scopes as $factor => $scope) {
                $table = array_map(static fn (float $p): float => $p ** $power, $this->tables[$factor][$effects[$factor] ?? 0]);
                $table = $factor === $of ? self::turned($table) : $table;
                $index = 0;
                foreach ($scope as $bit => $event) {
                    $index |= ($state >> $event & 1) << $bit;
                }
                $product *= $table[$index];
            }
            $sum += $product;
        }

        return $sum;
    }
}
