<?php

declare(strict_types=1);

namespace MuteTapper\Core\RunLog;

use MuteTapper\Core\Document\BadDocument;

/**
 * Goes through a log row by row and keeps only what is asked of it: episodes, peaks, and an overview of a bounded number
 * of buckets, each with the least and the most of every channel. Its memory does not grow with the log.
 */
final class LogAnalyser
{
    /** When the overview is full, neighbours are joined two by two. */
    private const MOST_BUCKETS = 4096;
    /** The limiter is taken to cut from here on: it hunts below its figure. [own] */
    private const NEAR_LIMITER = 0.985;
    /** Episodes that part for less than this are one, seconds. [own] */
    private const SAME_EPISODE = 0.1;
    private const MOST_EPISODES = 500;
    /** Below this the engine idles or is being started, and the pressure it should have is another. [own] */
    private const OIL_FROM_SPEED = 1500.0;

    /** How wide a bin of speeds is, turns a minute. */
    public const SPEED_BIN = 100;
    /** Rows farther apart than this are two runs, and nothing is known of what lies between, seconds. [own] */
    private const GAP = 2.0;

    private int $rows = 0;
    private ?float $first = null;
    private float $last = 0.0;
    private int $rowsPerBucket = 1;
    private int $inBucket = 0;
    /** @var list<array{float, array<string, array{float, float}>}> start and range of each channel */
    private array $buckets = [];
    /** @var array{float, array<string, array{float, float}>}|null */
    private ?array $open = null;
    /** @var array<string, array{from: float, to: float, worst: float, speed: float}> */
    private array $running = [];
    /** @var list<Episode> */
    private array $episodes = [];
    /** @var array<string, array{value: float, time: float, speed: float}> */
    private array $peaks = [];
    /** @var array<string, array{count: int, seconds: float}> */
    private array $totals = [];
    /** @var array<int, float> by the speed at which a bin begins */
    private array $seconds = [];

    public function __construct(private readonly Thresholds $thresholds)
    {
    }

    /**
     * @param array<string, float> $row by channel
     * @param int $line of the file, for messages
     *
     * @throws BadDocument when time is missing or runs backwards
     */
    public function add(array $row, int $line): void
    {
        $time = $row[Channel::Time->value] ?? throw BadDocument::at('/line/'.$line, sprintf('line %d has no time.', $line));
        if ($this->first !== null && $time < $this->last) {
            throw BadDocument::at(
                '/line/'.$line,
                sprintf(
                    'line %d: time runs backwards, from %s s to %s s. A log must be in the order of time; where two runs stand in one '.
                    'file, part them.',
                    $line, self::figure($this->last), self::figure($time),
                ),
            );
        }
        $speed = $row[Channel::Speed->value] ?? 0.0;
        if ($this->first !== null && isset($row[Channel::Speed->value]) && $time - $this->last < self::GAP) {
            $bin = (int) floor($speed / self::SPEED_BIN) * self::SPEED_BIN;
            $this->seconds[$bin] = ($this->seconds[$bin] ?? 0.0) + $time - $this->last;
        }
        $this->first ??= $time;
        $this->episodes($row, $time, $speed);
        $this->peaks($row, $time, $speed);
        $this->bucket($row, $time);
        $this->last = $time;
        ++$this->rows;
    }

    public function result(): LogResult
    {
        foreach (array_keys($this->running) as $kind) {
            $this->end(EpisodeKind::from($kind));
        }
        $buckets = $this->buckets;
        if ($this->open !== null) {
            $buckets[] = $this->open;
        }

        ksort($this->seconds);

        return new LogResult(
            $this->rows, $this->first ?? 0.0, $this->last, $this->episodes, $this->totals, $this->peaks, $buckets, $this->seconds,
        );
    }

    /** @param array<string, float> $row */
    private function episodes(array $row, float $time, float $speed): void
    {
        $throttle = $row[Channel::Throttle->value] ?? 100.0;
        $oil = $row[Channel::OilPressure->value] ?? null;
        $temperature = $row[Channel::OilTemperature->value] ?? null;
        $limiter = $this->thresholds->limiter;
        $this->follow(EpisodeKind::OverSpeed, $speed > $this->thresholds->overSpeed, $time, $speed, $speed);
        $this->follow(
            EpisodeKind::AtLimiter,
            $limiter !== null && $speed >= self::NEAR_LIMITER * $limiter && $speed <= $limiter * (2 - self::NEAR_LIMITER) && $throttle > 50,
            $time, $speed, $speed,
        );
        if ($oil !== null) {
            // Worst is the least pressure for its speed; it is kept negative so that more is always worse.
            $this->follow(
                EpisodeKind::OilLow,
                $speed > self::OIL_FROM_SPEED && $oil < $this->thresholds->oilPerThousand * $speed / 1000, $time, -$oil, $speed,
            );
        }
        if ($temperature !== null) {
            $this->follow(EpisodeKind::OilHot, $temperature > $this->thresholds->oilTemperature, $time, $temperature, $speed);
        }
    }

    private function follow(EpisodeKind $kind, bool $past, float $time, float $worse, float $speed): void
    {
        $now = $this->running[$kind->value] ?? null;
        if ($past) {
            if ($now === null) {
                $this->running[$kind->value] = ['from' => $time, 'to' => $time, 'worst' => $worse, 'speed' => $speed];
            } else {
                $this->running[$kind->value] = $worse > $now['worst']
                    ? ['from' => $now['from'], 'to' => $time, 'worst' => $worse, 'speed' => $speed]
                    : ['to' => $time] + $now;
            }
        } elseif ($now !== null && $time - $now['to'] > self::SAME_EPISODE) {
            $this->end($kind);
        }
    }

    private function end(EpisodeKind $kind): void
    {
        $now = $this->running[$kind->value];
        unset($this->running[$kind->value]);
        $total = $this->totals[$kind->value] ?? ['count' => 0, 'seconds' => 0.0];
        $this->totals[$kind->value] = ['count' => $total['count'] + 1, 'seconds' => $total['seconds'] + $now['to'] - $now['from']];
        if (count($this->episodes) < self::MOST_EPISODES) {
            $this->episodes[] = new Episode(
                $kind, $now['from'], $now['to'] - $now['from'], $kind === EpisodeKind::OilLow ? -$now['worst'] : $now['worst'],
                $now['speed'],
            );
        }
    }

    /** @param array<string, float> $row */
    private function peaks(array $row, float $time, float $speed): void
    {
        foreach ([
            Channel::Speed->value, Channel::Boost->value, Channel::ExhaustPressure->value, Channel::OilTemperature->value,
        ] as $channel) {
            if (isset($row[$channel]) && $row[$channel] > ($this->peaks[$channel]['value'] ?? -\INF)) {
                $this->peaks[$channel] = ['value' => $row[$channel], 'time' => $time, 'speed' => $speed];
            }
        }
    }

    /** @param array<string, float> $row */
    private function bucket(array $row, float $time): void
    {
        unset($row[Channel::Time->value]);
        $this->open ??= [$time, []];
        foreach ($row as $channel => $value) {
            $range = $this->open[1][$channel] ?? null;
            $this->open[1][$channel] = $range === null ? [$value, $value] : [min($range[0], $value), max($range[1], $value)];
        }
        if (++$this->inBucket >= $this->rowsPerBucket) {
            $this->buckets[] = $this->open;
            $this->open = null;
            $this->inBucket = 0;
        }
        if (count($this->buckets) >= self::MOST_BUCKETS) {
            $this->buckets = self::joined($this->buckets);
            $this->rowsPerBucket *= 2;
        }
    }

    /**
     * @param list<array{float, array<string, array{float, float}>}> $buckets
     *
     * @return list<array{float, array<string, array{float, float}>}>
     */
    public static function joined(array $buckets): array
    {
        $joined = [];
        for ($i = 0, $n = count($buckets); $i < $n; $i += 2) {
            [$start, $ranges] = $buckets[$i];
            foreach ($buckets[$i + 1][1] ?? [] as $channel => $range) {
                $ranges[$channel] = isset($ranges[$channel])
                    ? [min($ranges[$channel][0], $range[0]), max($ranges[$channel][1], $range[1])]
                    : $range;
            }
            $joined[] = [$start, $ranges];
        }

        return $joined;
    }

    private static function figure(float $number): string
    {
        return rtrim(rtrim(number_format($number, 3, '.', ''), '0'), '.');
    }
}
