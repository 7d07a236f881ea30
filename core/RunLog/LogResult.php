<?php

declare(strict_types=1);

namespace MuteTapper\Core\RunLog;

/** What a log told. */
final readonly class LogResult
{
    /**
     * @param float $from seconds
     * @param float $to seconds
     * @param list<Episode> $episodes the first few hundred, in order
     * @param array<string, array{count: int, seconds: float}> $totals by kind of episode, over the whole log
     * @param array<string, array{value: float, time: float, speed: float}> $peaks by channel
     * @param list<array{float, array<string, array{float, float}>}> $buckets start and range of each channel
     * @param array<int, float> $seconds at the speeds of each bin, by where it begins
     */
    public function __construct(
        public int $rows,
        public float $from,
        public float $to,
        public array $episodes,
        public array $totals,
        public array $peaks,
        public array $buckets,
        public array $seconds,
    ) {
    }

    /**
     * The overview between two times in at most so many buckets.
     *
     * @param list<array{float, array<string, array{float, float}>}> $buckets
     *
     * @return list<array{float, array<string, array{float, float}>}>
     */
    public static function window(array $buckets, float $from, float $to, int $most): array
    {
        $shown = [];
        foreach ($buckets as $i => $bucket) {
            if ($bucket[0] <= $to && ($buckets[$i + 1][0] ?? \INF) >= $from) {
                $shown[] = $bucket;
            }
        }
        while (count($shown) > $most) {
            $shown = LogAnalyser::joined($shown);
        }

        return $shown;
    }
}
