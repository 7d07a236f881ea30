<?php

declare(strict_types=1);

namespace MuteTapper\Core\Schedule;

/** A task with its place in the days ahead. */
final readonly class ScheduledTask
{
    /** @param list<string> $waitsFor labels of open tasks that come before it */
    private function __construct(
        public Task $task,
        public Readiness $readiness,
        public array $waitsFor,
        public float $leastEnd,
        public float $mostEnd,
        public bool $isOverdue,
        public bool $isLate,
    ) {
    }

    /** @param list<self> $before tasks it comes after */
    public static function of(Task $task, array $before, \DateTimeImmutable $today): self
    {
        $open = array_filter($before, static fn (self $other): bool => $other->task->state !== TaskState::Done);
        $readiness = match (true) {
            $task->state === TaskState::Done => Readiness::Done,
            $open !== [] && $task->state === TaskState::Open => Readiness::Waits,
            $task->state === TaskState::Begun && $task->kind !== TaskKind::Work => Readiness::Away,
            default => Readiness::Now,
        };
        $gone = $task->begun === null || $task->state !== TaskState::Begun ? 0.0 : (float) $task->begun->diff($today)->format('%r%a');
        $leastEnd = $mostEnd = 0.0;
        if ($task->state !== TaskState::Done) {
            $leastEnd = max(
                [0.0, ...array_map(static fn (self $other): float => $other->leastEnd, $open)],
            ) + max(0.0, $task->leastDays - max(0.0, $gone));
            $mostEnd = max(
                [0.0, ...array_map(static fn (self $other): float => $other->mostEnd, $open)],
            ) + max(0.0, $task->mostDays - max(0.0, $gone));
        }
        $dueIn = $task->due === null || $task->state === TaskState::Done ? null : (int) $today->diff($task->due)->format('%r%a');

        return new self(
            $task, $readiness, array_values(array_map(static fn (self $other): string => $other->task->label, $open)),
            $leastEnd, $mostEnd, $dueIn !== null && $dueIn < 0, $dueIn !== null && ceil($leastEnd) > $dueIn,
        );
    }
}
