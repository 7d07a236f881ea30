<?php

declare(strict_types=1);

namespace MuteTapper\App\Schedule;

use MuteTapper\Core\Schedule\Readiness;
use MuteTapper\Core\Schedule\ScheduledTask;
use OpenApi\Attributes as OA;

/** A task in the days ahead. */
#[OA\Schema]
final readonly class ScheduledTaskView
{
    /**
     * @param list<string> $waitsFor
     * @param list<string> $after
     */
    private function __construct(
        public string $id,
        public string $label,
        public string $kind,
        public string $kindWords,
        public Readiness $readiness,
        public array $waitsFor,
        public array $after,
        public float $leastDays,
        public float $mostDays,
        #[OA\Property(description: 'days from today until it can be done')]
        public float $leastEnd,
        public float $mostEnd,
        public ?string $due,
        public ?string $begun,
        public ?string $done,
        public bool $overdue,
        public bool $late,
    ) {
    }

    public static function of(string $id, ScheduledTask $scheduled): self
    {
        $task = $scheduled->task;

        return new self(
            $id, $task->label, $task->kind->value, $task->kind->words(), $scheduled->readiness, $scheduled->waitsFor, $task->after,
            $task->leastDays, $task->mostDays,
            $scheduled->leastEnd, $scheduled->mostEnd, $task->due?->format('Y-m-d'), $task->begun?->format('Y-m-d'),
            $task->done?->format('Y-m-d'), $scheduled->isOverdue, $scheduled->isLate,
        );
    }
}
