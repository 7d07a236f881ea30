<?php

declare(strict_types=1);

namespace MuteTapper\Bench;

/**
 * Measures work by the processor time it costs, in interleaved rounds, so that what the machine does meanwhile falls on all
 * alike. The least of the rounds is what the work needs; the median shows how much the machine disturbed it.
 */
final class Harness
{
    /**
     * @param array<string, \Closure(): mixed> $works
     *
     * @return array<string, array{least: float, median: float, wall: float}> milliseconds
     */
    public static function time(array $works, int $rounds): array
    {
        $cpu = $wall = array_fill_keys(array_keys($works), []);
        foreach ($works as $work) {
            $work(); // warm
        }
        for ($round = 0; $round < $rounds; ++$round) {
            foreach ($works as $name => $work) {
                $before = self::processorMilliseconds();
                $start = hrtime(true);
                $work();
                $wall[$name][] = (hrtime(true) - $start) / 1e6;
                $cpu[$name][] = self::processorMilliseconds() - $before;
            }
        }
        $times = [];
        foreach (array_keys($works) as $name) {
            sort($cpu[$name]);
            sort($wall[$name]);
            $middle = intdiv($rounds, 2);
            $times[$name] = [
                'least' => (float) ($cpu[$name][0] ?? 0.0), 'median' => (float) ($cpu[$name][$middle] ?? 0.0),
                'wall' => (float) ($wall[$name][$middle] ?? 0.0),
            ];
        }

        return $times;
    }

    /**
     * @param array<string, array{least: float, median: float, wall: float}> $times
     * @param array<string, float> $targets milliseconds of the least, by work
     */
    public static function print(array $times, array $targets = []): void
    {
        foreach ($times as $name => $time) {
            $target = isset($targets[$name]) ? sprintf('target %4.0f', $targets[$name]) : '';
            printf(
                "%-62s CPU least %8.2f  median %8.2f  wall %8.2f ms  %s\n", $name, $time['least'], $time['median'], $time['wall'], $target,
            );
        }
    }

    private static function processorMilliseconds(): float
    {
        $usage = getrusage();
        $of = static fn (string $key): int => is_array($usage) && is_int($usage[$key] ?? null) ? $usage[$key] : 0;

        return ($of('ru_utime.tv_sec') + $of('ru_stime.tv_sec')) * 1e3 + ($of('ru_utime.tv_usec') + $of('ru_stime.tv_usec')) / 1e3;
    }
}
