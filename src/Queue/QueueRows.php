<?php

declare(strict_types=1);

namespace MuteTapper\App\Queue;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception as DatabaseFault;
use MuteTapper\App\Assessment\NextActView;
use MuteTapper\App\Engine\EngineView;
use MuteTapper\App\Engine\HeadPlanView;
use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Record\FollowsCase;
use MuteTapper\App\Record\StoredEntries;
use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Assessment\Progress;
use MuteTapper\Core\CaseFile\SignedContent;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\HeadPlan;
use MuteTapper\Core\Schedule\Promise;
use MuteTapper\Core\Schedule\Schedule;
use MuteTapper\Core\Schedule\Task;
use Psr\Clock\ClockInterface;
use Psr\Log\LoggerInterface;

/** Keeps one row a case for the queue and its search, made in the transaction that changed the case. */
final readonly class QueueRows implements FollowsCase
{
    private string $build;

    public function __construct(
        private Connection $connection,
        private Cases $cases,
        private StoredEntries $entries,
        private KnowledgeFiles $knowledge,
        private CaseSearch $search,
        private ClockInterface $clock,
        private LoggerInterface $logger,
        string $coreHash,
    ) {
        $this->build = substr($coreHash, 0, 16);
    }

    public function changed(CaseRecord $case, array $people): void
    {
        $this->write($case);
        foreach ($people as $person) {
            $this->connection->executeStatement(
                'INSERT OR IGNORE INTO worked_on (person, number) VALUES (?, ?)', [$person, $case->number],
            );
        }
    }

    /** Makes the row of a case anew, and remembers which of its entries this build can read. */
    public function remake(CaseRecord $case): void
    {
        try {
            $this->entries->confirm($case, $this->cases->heads($case));
        } catch (\InvalidArgumentException) {
            // Without its engine nothing of a case can be read: its row says so.
        }
        $this->write($case);
    }

    /** @return list<string> ids of cases whose row is missing, or was made by another build */
    public function stale(bool $missingOnly): array
    {
        /** @var list<string> $ids */
        $ids = $this->connection->fetchFirstColumn(
            'SELECT c.id FROM case_file c LEFT JOIN queue_row q ON q.number = c.number WHERE q.number IS NULL'.
            ($missingOnly ? '' : ' OR q.made_by <> ?').' ORDER BY c.number DESC', $missingOnly ? [] : [$this->build],
        );

        return $ids;
    }

    private function write(CaseRecord $case): void
    {
        try {
            [$row, $texts] = $this->made($case);
        } catch (DatabaseFault $fault) {
            throw $fault;
        } catch (\Throwable $unreadable) {
            $this->logger->warning('Case {number} cannot be read: {why}', [
                'number' => $case->number, 'why' => $unreadable->getMessage(), 'exception' => $unreadable,
            ]);
            $row = [
                'signed' => false, 'away' => false, 'overdue_from' => null, 'unreadable' => mb_scrub($unreadable->getMessage()),
                'content' => ['name' => $case->name],
            ];
            $texts = ['name' => $case->name];
        }
        $row['content'] = json_encode($row['content'], \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
        $row += ['case_id' => $case->id, 'number' => $case->number, 'set_aside' => $case->setAside, 'made_by' => $this->build];
        $names = array_keys($row);
        $this->connection->executeStatement(
            sprintf('REPLACE INTO queue_row (%s) VALUES (:%s)', implode(', ', $names), implode(', :', $names)),
            array_map(static fn (mixed $value): mixed => is_bool($value) ? (int) $value : $value, $row),
        );
        $this->search->keep($case->number, $texts);
    }

    /** @return array{array<string, mixed>, array<string, string>} the row, and its texts to be searched */
    private function made(CaseRecord $record): array
    {
        $case = $this->cases->file($record);
        $story = $this->cases->story($record);
        $signed = $this->cases->signedCall($record);
        $progress = Progress::of($case, AllSheets::get(), $story, $record->callDocument !== null, $signed !== null);
        $schedule = Schedule::of($case, $this->clock->now());
        $called = $signed === null ? [] : SignedContent::fromNode(Node::root($signed->content))->call->causes;
        $network = $this->knowledge->current()->network;

        return [[
            'signed' => $signed !== null,
            'away' => $schedule->isAway(),
            'overdue_from' => $schedule->overdueFrom($signed !== null)?->format('Y-m-d'),
            'unreadable' => null,
            'content' => [
                'name' => $record->name, 'customer' => $story->answers['customer'], 'words' => $story->answers['words'],
                'engine' => EngineView::summary($case->engine), 'plan' => $this->keptPlan($case->engine), 'failed' => $story->failed,
                'firstEvent' => $signed === null ? null : implode(', ', array_map($network->nameOf(...), $called)),
                'next' => NextActView::of($progress->nextAct()), 'worst' => (object) $progress->worst(),
                'stations' => count($case->engine->stations), 'lookedAt' => count($progress->looked),
                'springsMeasured' => count($progress->measured()), 'photographs' => $progress->photographs,
                'tasks' => (object) array_map(static fn (Task $task): array => $task->toArray(), Schedule::tasks($case)),
                'promise' => $case->log->headOf(Promise::slot())?->data,
            ],
        ], SearchTexts::of($record, $case, $story, $this->knowledge->current())];
    }

    /** Cases share the drawing of an engine: it is kept once, and fetched once a page. */
    private function keptPlan(Engine $engine): string
    {
        $plan = json_encode(HeadPlanView::of(HeadPlan::of($engine)), \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION);
        $hash = substr(hash('sha256', $plan), 0, 16);
        $this->connection->executeStatement('INSERT OR IGNORE INTO head_plan (hash, content) VALUES (?, ?)', [$hash, $plan]);

        return $hash;
    }
}
