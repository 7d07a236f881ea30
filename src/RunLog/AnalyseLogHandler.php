<?php

declare(strict_types=1);

namespace MuteTapper\App\RunLog;

use MuteTapper\App\Shared\Faults;
use MuteTapper\App\Shared\NoRoom;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\RunLog\LogAnalyser;
use MuteTapper\Core\RunLog\LogFormat;
use MuteTapper\Core\RunLog\Thresholds;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;

/** Reads a log line by line. Killed half-way it begins again; a bad line ends it with the line's number. */
#[AsMessageHandler]
final readonly class AnalyseLogHandler
{
    private const REPORT_EVERY = 20_000;
    /** Places remembered in the file, so that a stretch can be read again without the rest. */
    private const MOST_PLACES = 4096;

    public function __construct(private LogStore $store, private Faults $faults)
    {
    }

    public function __invoke(AnalyseLog $work): void
    {
        $analysis = $this->store->analysis($work->analysis);
        if ($analysis->state === AnalysisState::Ready || !$this->store->report($analysis, AnalysisState::Reading, 0, 0)) {
            return;
        }
        $analyser = new LogAnalyser(Thresholds::fromNode(Node::root($analysis->thresholds)));
        try {
            $index = $this->read($analysis, $analyser);
            if ($index === null) {
                return; // cancelled meanwhile
            }
            $result = $analyser->result();
            $this->store->writeResult($analysis, $result, $index);
            $this->store->report($analysis, AnalysisState::Ready, $result->rows, $analysis->file->bytes);
        } catch (BadDocument $problem) {
            $this->store->report($analysis, AnalysisState::Failed, $analysis->rows, $analysis->bytesRead, $problem->reason);
        } catch (NoRoom $noRoom) {
            $this->store->report($analysis, AnalysisState::Fault, $analysis->rows, $analysis->bytesRead, $noRoom->getMessage().'.');
        } catch (\Throwable $fault) {
            $id = $this->faults->log($fault);
            $words = sprintf('The program failed on this log (%s). Read it again, or tell us what it says in the log.', $id);
            $this->store->report($analysis, AnalysisState::Fault, $analysis->rows, $analysis->bytesRead, $words);
        }
    }

    /**
     * @return list<array{float, int, int}>|null time, place in the file and line of every so many rows; null when it was cancelled
     *
     * @throws BadDocument
     */
    private function read(LogAnalysis $analysis, LogAnalyser $analyser): ?array
    {
        $format = LogFormat::fromNode(Node::root($analysis->format));
        $path = $this->store->path($analysis->file->sha256);
        $file = is_file($path) ? fopen($path, 'r') : false;
        if ($file === false) {
            throw BadDocument::at('', 'the log’s file is not here any more.');
        }
        $index = [];
        $every = 256;
        $line = $place = $rows = 0;
        try {
            while (($text = fgets($file)) !== false) {
                $at = $place;
                $place += strlen($text);
                if (++$line <= $format->headerLines) {
                    continue;
                }
                $row = $format->read(rtrim($text, "\r\n"), $line);
                if ($row === null) {
                    continue;
                }
                $analyser->add($row, $line);
                if ($rows++ % $every === 0) {
                    $index[] = [$row['time'] ?? 0.0, $at, $line];
                    if (count($index) >= self::MOST_PLACES) {
                        $index = array_values(array_filter($index, static fn (int $i): bool => $i % 2 === 0, \ARRAY_FILTER_USE_KEY));
                        $every *= 2;
                    }
                }
                if ($rows % self::REPORT_EVERY === 0) {
                    if (!$this->store->report($analysis, AnalysisState::Reading, $rows, $place)) {
                        return null;
                    }
                }
            }
        } finally {
            fclose($file);
        }
        if ($rows === 0) {
            throw BadDocument::at('', 'the log holds no row of figures after its header.');
        }

        return $index;
    }
}
