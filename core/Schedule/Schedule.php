<?php

declare(strict_types=1);

namespace MuteTapper\Core\Schedule;

use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Entry\EntryKind;

/** What can be done now, what waits for what, when the case can be finished, and what is overdue. Calendar days. */
final readonly class Schedule
{
    /**
     * @param array<string, ScheduledTask> $tasks by id
     * @param int $leastDays days from today until the last task can be done, at best
     * @param int $mostDays the same, at worst
     * @param list<string> $loop labels of tasks that wait for each other in a circle
     */
    private function __construct(
        public array $tasks,
        public ?\DateTimeImmutable $promised,
        public \DateTimeImmutable $today,
        public int $leastDays,
        public int $mostDays,
        public array $loop,
    ) {
    }

    public static function of(CaseFile $case, \DateTimeImmutable $today): self
    {
        $promise = $case->log->headOf(Promise::slot());

        return self::ofTasks(self::tasks($case), $promise === null ? null : Promise::fromNode($promise->node()), $today);
    }

    /** @return array<string, Task> by id */
    public static function tasks(CaseFile $case): array
    {
        $tasks = [];
        foreach ($case->log->standing(EntryKind::Task) as $entry) {
            $tasks[$entry->slot->index ?? ''] = Task::fromNode($entry->node());
        }

        return $tasks;
    }

    /** @param array<string, Task> $tasks by id */
    public static function ofTasks(array $tasks, ?Promise $promise, \DateTimeImmutable $today): self
    {
        $today = $today->setTimezone(new \DateTimeZone('UTC'))->setTime(0, 0);
        $scheduled = $loop = [];
        $open = $tasks;
        while ($open !== []) {
            $ready = array_filter(
                $open,
                static fn (Task $task): bool => array_filter($task->after, static fn (string $id): bool => isset($open[$id])) === [],
            );
            if ($ready === []) {
                // In a circle nothing can begin: each is shown as waiting, and the circle is named.
                $loop = array_values(array_map(static fn (Task $task): string => $task->label, $open));
                $ready = $open;
            }
            foreach ($ready as $id => $task) {
                $scheduled[$id] = ScheduledTask::of($task, self::before($task, $scheduled), $today);
                unset($open[$id]);
            }
        }
        $least = $most = 0.0;
        $inOrder = [];
        foreach (array_keys($tasks) as $id) {
            $inOrder[$id] = $scheduled[$id];
            $least = max($least, $scheduled[$id]->leastEnd);
            $most = max($most, $scheduled[$id]->mostEnd);
        }

        return new self(
            $inOrder, $promise?->date, $today, (int) ceil($least), (int) ceil($most),
            $loop,
        );
    }

    /**
     * @param array<string, ScheduledTask> $scheduled
     *
     * @return list<ScheduledTask>
     */
    private static function before(Task $task, array $scheduled): array
    {
        return array_values(array_filter(array_map(static fn (string $id): ?ScheduledTask => $scheduled[$id] ?? null, $task->after)));
    }

    /** @return list<ScheduledTask> */
    public function with(Readiness $readiness): array
    {
        return array_values(array_filter($this->tasks, static fn (ScheduledTask $task): bool => $task->readiness === $readiness));
    }

    /** @return list<ScheduledTask> open tasks whose day has passed */
    public function overdue(): array
    {
        return array_values(array_filter($this->tasks, static fn (ScheduledTask $task): bool => $task->isOverdue));
    }

    /** Whether there is something to wait for and nothing to do meanwhile. */
    public function isAway(): bool
    {
        return $this->with(Readiness::Away) !== [] && $this->with(Readiness::Now) === [];
    }

    /** The first day on which something is overdue: an open task, or the promise of a case that is not closed. */
    public function overdueFrom(bool $closed): ?\DateTimeImmutable
    {
        $days = $closed || $this->promised === null ? [] : [$this->promised];
        foreach ($this->tasks as $task) {
            if ($task->task->state !== TaskState::Done && $task->task->due !== null) {
                $days[] = $task->task->due;
            }
        }

        return $days === [] ? null : min($days)->modify('+1 day');
    }

    /** Days until the promised day; negative when it has passed. */
    public function daysPromised(): ?int
    {
        return $this->promised === null ? null : (int) $this->today->diff($this->promised)->format('%r%a');
    }
}
