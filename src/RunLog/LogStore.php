<?php

declare(strict_types=1);

namespace MuteTapper\App\RunLog;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Record\Writing;
use MuteTapper\App\Shared\Problem;
use MuteTapper\App\Shared\WholeFile;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\RunLog\LogFormat;
use MuteTapper\Core\RunLog\LogResult;
use MuteTapper\Core\RunLog\LogUse;
use MuteTapper\Core\RunLog\Thresholds;
use Psr\Clock\ClockInterface;
use Symfony\Component\Messenger\MessageBusInterface;

/** Keeps log files as they came, and what was read from them. Files go through in a stream, never as a whole. */
final readonly class LogStore
{
    /** Raised when more is read from a log, so that it is read again. */
    private const READ_AS = 2;
    public const MOST_BYTES = 512 * 1024 * 1024;
    private const HEAD_BYTES = 65536;

    public function __construct(
        private string $dataFolder,
        private EntityManagerInterface $entities,
        private Writing $writing,
        private MessageBusInterface $bus,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param resource $content
     *
     * @throws Problem
     */
    public function keep($content, string $fileName): LogFile
    {
        $folder = $this->dataFolder.'/logs';
        $file = WholeFile::aside($folder, $aside);
        $hash = hash_init('sha256');
        $bytes = 0;
        try {
            while (!feof($content)) {
                $chunk = (string) fread($content, 1 << 20);
                $bytes += strlen($chunk);
                if ($bytes > self::MOST_BYTES) {
                    throw Problem::tooLarge(sprintf('%s has more than 512 MB.', $fileName));
                }
                hash_update($hash, $chunk);
                WholeFile::add($file, $chunk, $aside);
            }
            if ($bytes === 0) {
                throw Problem::unreadable($fileName.' is empty.');
            }
            $sha256 = hash_final($hash);
            try {
                LogFormat::recognise($this->headOf($aside));
            } catch (BadDocument $problem) {
                throw Problem::invalid(ucfirst($problem->reason), ['pointer' => $problem->pointer]);
            }
            WholeFile::finish($file, $aside, $this->path($sha256));
        } finally {
            @unlink($aside);
        }

        return $this->writing->together(function () use ($sha256, $bytes, $fileName): LogFile {
            $known = $this->entities->find(LogFile::class, $sha256);
            if ($known === null) {
                $known = new LogFile($sha256, $bytes, mb_substr($fileName, 0, 200), $this->clock->now());
                $this->entities->persist($known);
            }

            return $known;
        });
    }

    public function get(string $sha256): LogFile
    {
        return $this->entities->find(LogFile::class, $sha256)
            ?? throw Problem::notFound('There is no log with this checksum here. Drop the file on the story again and it is attached.');
    }

    public function path(string $sha256): string
    {
        return sprintf('%s/logs/%s.csv', $this->dataFolder, $sha256);
    }

    public function resultPath(string $analysis): string
    {
        return sprintf('%s/logs/%s.json', $this->dataFolder, $analysis);
    }

    public function head(LogFile $file): string
    {
        return $this->headOf($this->path($file->sha256));
    }

    /** The analysis in this format with these thresholds: a known one, or one that is begun. */
    public function analyse(LogFile $file, LogFormat $format, Thresholds $thresholds): LogAnalysis
    {
        $id = self::id($file->sha256, $format, $thresholds);

        return $this->writing->together(function () use ($id, $file, $format, $thresholds): LogAnalysis {
            $analysis = $this->entities->find(LogAnalysis::class, $id);
            if ($analysis !== null && $analysis->isSettledOrMoving($this->clock->now())) {
                return $analysis;
            }
            $analysis ??= new LogAnalysis($id, $file, $format->toArray(), $thresholds->toArray());
            $analysis->is(AnalysisState::Waiting, $this->clock->now());
            $this->entities->persist($analysis);
            $this->bus->dispatch(new AnalyseLog($id));

            return $analysis;
        });
    }

    /** The log of a case as it was read to its end; null where it is not, or not yet. */
    public function readOf(LogUse $use): ?LogAnalysis
    {
        $analysis = $this->entities->find(LogAnalysis::class, self::id($use->sha256, $use->format, $use->thresholds));

        return $analysis?->state === AnalysisState::Ready ? $analysis : null;
    }

    public function analysis(string $id): LogAnalysis
    {
        return $this->entities->find(LogAnalysis::class, $id) ?? throw Problem::notFound('This log was not read that way.');
    }

    public function cancel(LogAnalysis $analysis): void
    {
        $this->writing->together(function () use ($analysis): void {
            $this->entities->refresh($analysis);
            if (in_array($analysis->state, [AnalysisState::Waiting, AnalysisState::Reading], true)) {
                $analysis->is(AnalysisState::Cancelled, $this->clock->now());
            }
        });
    }

    /** How far a reading is; false when it was cancelled meanwhile, which stands. */
    public function report(LogAnalysis $analysis, AnalysisState $state, int $rows, int $bytes, ?string $message = null): bool
    {
        return $this->writing->together(function () use ($analysis, $state, $rows, $bytes, $message): bool {
            $this->entities->refresh($analysis);
            if ($analysis->state === AnalysisState::Cancelled) {
                return false;
            }
            $analysis->is($state, $this->clock->now());
            $analysis->rows = $rows;
            $analysis->bytesRead = $bytes;
            $analysis->message = $message;

            return true;
        });
    }

    /**
     * What was found, as it was written when the reading ended.
     *
     * @return array{result: array<string, mixed>, buckets: list<array{float, array<string, array{float, float}>}>,
     *     index: list<array{float, int, int}>, seconds: list<array{int, float}>}
     */
    public function result(LogAnalysis $analysis): array
    {
        /**
         * @var array{result: array<string, mixed>, buckets: list<array{float, array<string, array{float, float}>}>,
         *     index: list<array{float, int, int}>, seconds: list<array{int, float}>} $content
         */
        $content = json_decode((string) file_get_contents($this->resultPath($analysis->id)), true, 16, \JSON_THROW_ON_ERROR);

        return $content;
    }

    /** @param list<array{float, int, int}> $index time, place in the file and line of every so many rows */
    public function writeResult(LogAnalysis $analysis, LogResult $result, array $index): void
    {
        WholeFile::write($this->resultPath($analysis->id), json_encode([
            'result' => LogResultView::of($result), 'buckets' => $result->buckets, 'index' => $index,
            'seconds' => array_map(null, array_keys($result->seconds), array_values($result->seconds)),
        ], \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION));
    }

    private function headOf(string $path): string
    {
        $head = (string) file_get_contents($path, false, null, 0, self::HEAD_BYTES);
        $end = strrpos($head, "\n");
        $head = strlen($head) === self::HEAD_BYTES && $end !== false ? substr($head, 0, $end) : $head;

        return mb_check_encoding($head, 'UTF-8') ? $head : mb_convert_encoding($head, 'UTF-8', 'Windows-1252');
    }

    private static function id(string $sha256, LogFormat $format, Thresholds $thresholds): string
    {
        return hash('sha256', json_encode(
            [self::READ_AS, $sha256, $format->toArray(), $thresholds->toArray()], \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION,
        ));
    }
}
