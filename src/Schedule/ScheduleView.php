<?php

declare(strict_types=1);

namespace MuteTapper\App\Schedule;

use MuteTapper\Core\Schedule\Readiness;
use MuteTapper\Core\Schedule\Schedule;
use MuteTapper\Core\Schedule\ScheduledTask;
use OpenApi\Attributes as OA;

/** What can be done now, what waits for what, when the case can be finished, and what is overdue. */
#[OA\Schema]
final readonly class ScheduleView
{
    /** @param list<ScheduledTaskView> $tasks */
    private function __construct(
        public array $tasks,
        public string $today,
        public ?string $promised,
        #[OA\Property(description: 'days until the promise; negative when it has passed')]
        public ?int $daysPromised,
        #[OA\Property(description: 'days until the case can be finished, at best')]
        public int $leastDays,
        public int $mostDays,
        public bool $late,
        #[OA\Property(description: 'one line: 6 to 10 days, promised in 5: late')]
        public string $sentence,
        #[OA\Property(description: 'whom the case waits for, in words; empty when for nobody')]
        public string $waitsFor,
        #[OA\Property(description: 'labels of overdue tasks')]
        public string $overdue,
        #[OA\Property(description: 'what keeps tasks waiting for each other in a circle; empty when nothing does')]
        public string $loop,
    ) {
    }

    public static function of(Schedule $schedule): self
    {
        $tasks = [];
        foreach ($schedule->tasks as $id => $task) {
            $tasks[] = ScheduledTaskView::of((string) $id, $task);
        }
        $promised = $schedule->daysPromised();
        $late = $promised !== null && $schedule->mostDays > $promised;
        $days = static fn (int $days): string => $days.($days === 1 ? ' day' : ' days');
        $range = match (true) {
            $schedule->mostDays === 0 => 'nothing is left to wait for',
            $schedule->leastDays === $schedule->mostDays => $days($schedule->mostDays),
            default => sprintf('%d to %s', $schedule->leastDays, $days($schedule->mostDays)),
        };
        $promise = match (true) {
            $promised === null => '',
            $promised < 0 => sprintf(', promised %s ago: late', $days(-$promised)),
            default => sprintf(', promised %s%s', $promised === 0 ? 'for today' : 'in '.$days($promised), $late ? ': late' : ''),
        };

        return new self(
            $tasks, $schedule->today->format('Y-m-d'), $schedule->promised?->format('Y-m-d'), $promised, $schedule->leastDays,
            $schedule->mostDays, $late,
            $tasks === [] && $promised === null ? '' : $range.$promise, self::labels($schedule->with(Readiness::Away)),
            self::labels($schedule->overdue()), implode(', ', $schedule->loop),
        );
    }

    /** @param list<ScheduledTask> $tasks */
    private static function labels(array $tasks): string
    {
        return implode(', ', array_map(static fn (ScheduledTask $task): string => lcfirst($task->task->label), $tasks));
    }
}
