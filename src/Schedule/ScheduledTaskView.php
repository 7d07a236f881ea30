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
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $kind,
        #[OA\Property]
        public string $kindWords,
        #[OA\Property(type: 'string', enum: Readiness::class)]
        public Readiness $readiness,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $waitsFor,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $after,
        #[OA\Property]
        public float $leastDays,
        #[OA\Property]
        public float $mostDays,
        #[OA\Property(description: 'days from today until it can be done')]
        public float $leastEnd,
        #[OA\Property]
        public float $mostEnd,
        #[OA\Property]
        public ?string $due,
        #[OA\Property]
        public ?string $begun,
        #[OA\Property]
        public ?string $done,
        #[OA\Property]
        public bool $overdue,
        #[OA\Property]
        public bool $late,
    ) {
    }

    public static function of(string $id, ScheduledTask $scheduled): self
    {
        $task = $scheduled->task;

        return new self(
            $id, $task->label, $task->kind->value, $task->kind->words(), $scheduled->readiness, $scheduled->waitsFor, $task->after, $task->leastDays, $task->mostDays,
            $scheduled->leastEnd, $scheduled->mostEnd, $task->due?->format('Y-m-d'), $task->begun?->format('Y-m-d'), $task->done?->format('Y-m-d'), $scheduled->isOverdue, $scheduled->isLate,
        );
    }
}
