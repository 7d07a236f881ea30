<?php

declare(strict_types=1);

namespace MuteTapper\Bench;

/** Times work in interleaved rounds, so that what the machine does meanwhile falls on all alike; reports medians. */
final class Harness
{
    /**
     * @param array<string, \Closure(): mixed> $works
     *
     * @return array<string, array{median: float, p95: float}> milliseconds
     */
    public static function time(array $works, int $rounds): array
    {
        $times = array_fill_keys(array_keys($works), []);
        foreach ($works as $work) {
            $work(); // warm
        }
        for ($round = 0; $round < $rounds; ++$round) {
            foreach ($works as $name => $work) {
                $start = hrtime(true);
                $work();
                $times[$name][] = (hrtime(true) - $start) / 1e6;
            }
        }

        return array_map(static function (array $list): array {
            sort($list);
            $last = max(0, \count($list) - 1);

            return ['median' => (float) ($list[intdiv(\count($list), 2)] ?? 0.0), 'p95' => (float) ($list[(int) floor(0.95 * $last)] ?? 0.0)];
        }, $times);
    }

    /** @param array<string, array{median: float, p95: float}> $times */
    public static function print(array $times): void
    {
        foreach ($times as $name => $time) {
            printf("%-66s median %8.2f ms   p95 %8.2f ms\n", $name, $time['median'], $time['p95']);
        }
    }
}
