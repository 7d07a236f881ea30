<?php

declare(strict_types=1);

namespace MuteTapper\App\Schedule;

use MuteTapper\App\Entry\EntryRecorder;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Record\Writing;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Entry\SupersedeReason;
use MuteTapper\Core\Schedule\LaboratoryReport;
use MuteTapper\Core\Schedule\Task;
use MuteTapper\Core\Schedule\TaskState;
use Psr\Clock\ClockInterface;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;
use Symfony\Component\Uid\Uuid;

/** Attaches a laboratory's report to its case, and marks the request as answered. Once only, however often it is tried. */
#[AsMessageHandler]
final readonly class AnswerOfLaboratoryHandler
{
    public function __construct(
        private Cases $cases,
        private Laboratories $laboratories,
        private EntryRecorder $recorder,
        private Writing $writing,
        private ClockInterface $clock,
    ) {
    }

    public function __invoke(AnswerOfLaboratory $work): void
    {
        $this->writing->together(fn () => $this->attach($work));
    }

    private function attach(AnswerOfLaboratory $work): void
    {
        $record = $this->cases->get($work->caseId);
        $laboratory = $this->laboratories->get($work->laboratory);
        $log = $this->cases->file($record)->log;
        $report = LaboratoryReport::slot($work->task);
        if ($log->headOf($report) === null) {
            $this->recorder->record(
                $record,
                $this->entry(EntryKind::Report, $report, null, $laboratory, $laboratory->report($work->request, $work->task)),
            );
        }
        $slot = Task::slot($work->task);
        $task = $log->headOf($slot);
        if ($task !== null && Task::fromNode($task->node())->state !== TaskState::Done) {
            $done = ['taskState' => TaskState::Done->value, 'done' => $this->clock->now()->format('Y-m-d')] + $task->data;
            $this->recorder->record($record, $this->entry(EntryKind::Task, $slot, $task->id, $laboratory, $done));
        }
    }

    /** @param array<string, mixed> $data */
    private function entry(EntryKind $kind, Slot $slot, ?string $supersedes, Laboratory $laboratory, array $data): Entry
    {
        return new Entry(
            Uuid::v7()->toRfc4122(), $kind, $slot, $supersedes, $supersedes === null ? null : SupersedeReason::SeenAgain,
            $laboratory->label(), $this->clock->now(), null, $data,
        );
    }
}
