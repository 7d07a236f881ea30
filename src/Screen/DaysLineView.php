<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use MuteTapper\App\Schedule\ScheduleView;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Schedule\Schedule;
use OpenApi\Attributes as OA;

/** The days ahead in one line, as every place of a case shows them. */
#[OA\Schema]
final readonly class DaysLineView
{
    private function __construct(
        public string $sentence,
        public bool $late,
        #[OA\Property(description: 'labels of overdue tasks')]
        public string $overdue,
    ) {
    }

    public static function of(CaseFile $case, \DateTimeImmutable $today): self
    {
        $schedule = ScheduleView::of(Schedule::of($case, $today));

        return new self($schedule->sentence, $schedule->late, $schedule->overdue);
    }
}
