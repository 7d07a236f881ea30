<?php

declare(strict_types=1);

namespace MuteTapper\App\RunLog;

use MuteTapper\Core\Document\Node;
use MuteTapper\Core\RunLog\LogFormat;
use MuteTapper\Core\RunLog\LogResult;

/** A stretch of a log for the chart: from the overview while that is fine enough, else from the file itself. */
final readonly class LogWindow
{
    /** As many rows are read again from the file for one stretch. */
    private const MOST_ROWS = 60_000;

    public function __construct(private LogStore $store)
    {
    }

    /** @return list<array{float, array<string, array{float, float}>}> start and range of each channel */
    public function of(LogAnalysis $analysis, float $from, float $to, int $most): array
    {
        $content = $this->store->result($analysis);
        $overview = LogResult::window($content['buckets'], $from, $to, $most);
        if (count($overview) >= $most / 2 || count($content['buckets']) < 2) {
            return $overview;
        }
        $rows = $this->rows($analysis, $content['index'], $from, $to);

        return $rows === null ? $overview : LogResult::window($rows, $from, $to, $most);
    }

    /**
     * @param list<array{float, int, int}> $index
     *
     * @return list<array{float, array<string, array{float, float}>}>|null a bucket a row; null where there are too many
     */
    private function rows(LogAnalysis $analysis, array $index, float $from, float $to): ?array
    {
        $start = $index[0] ?? null;
        foreach ($index as $place) {
            if ($place[0] >= $from) {
                break;
            }
            $start = $place;
        }
        $file = $start === null ? false : fopen($this->store->path($analysis->file->sha256), 'r');
        if ($file === false || $start === null) {
            return null;
        }
        $format = LogFormat::fromNode(Node::root($analysis->format));
        fseek($file, $start[1]);
        $rows = [];
        for ($line = $start[2]; ($text = fgets($file)) !== false; ++$line) {
            $row = $format->read(rtrim($text, "\r\n"), $line);
            if ($row === null) {
                continue;
            }
            $time = $row['time'] ?? 0.0;
            unset($row['time']);
            $rows[] = [$time, array_map(static fn (float $value): array => [$value, $value], $row)];
            if ($time > $to || count($rows) > self::MOST_ROWS) {
                break;
            }
        }
        fclose($file);

        return count($rows) > self::MOST_ROWS ? null : $rows;
    }
}
