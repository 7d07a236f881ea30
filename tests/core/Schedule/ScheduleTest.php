<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Schedule;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Schedule\Promise;
use MuteTapper\Core\Schedule\Readiness;
use MuteTapper\Core\Schedule\Schedule;
use MuteTapper\Core\Schedule\Task;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ScheduleTest extends TestCase
{
    private const TODAY = '2026-11-26T15:00:00Z';

    /** @param array<string, array<string, mixed>> $tasks */
    private static function of(array $tasks, ?string $promised = null): Schedule
    {
        $example = Example::pushrodEight();
        foreach ($tasks as $id => $data) {
            $example->records(EntryKind::Task, Task::slot($id), $data + ['label' => $id, 'kind' => 'work']);
        }
        if (null !== $promised) {
            $example->records(EntryKind::Promise, Promise::slot(), ['date' => $promised]);
        }

        return Schedule::of($example->case(), new \DateTimeImmutable(self::TODAY));
    }

    public function testNothingPlannedIsNothingToWaitFor(): void
    {
        $schedule = self::of([]);
        self::assertSame([0, 0, null, []], [$schedule->leastDays, $schedule->mostDays, $schedule->daysPromised(), $schedule->tasks]);
    }

    public function testTheLongestWayDecides(): void
    {
        $schedule = self::of([
            'lab' => ['kind' => 'laboratory', 'taskState' => 'begun', 'begun' => '2026-11-24', 'leastDays' => 5, 'mostDays' => 8],
            'parts' => ['kind' => 'parts', 'leastDays' => 2, 'mostDays' => 4],
            'measure' => ['leastDays' => 0.5, 'mostDays' => 1],
            'report' => ['leastDays' => 1, 'mostDays' => 1, 'after' => ['lab', 'parts', 'measure']],
        ], '2026-12-01');
        self::assertSame(
            ['lab' => Readiness::Away, 'parts' => Readiness::Now, 'measure' => Readiness::Now, 'report' => Readiness::Waits],
            array_map(static fn ($task) => $task->readiness, $schedule->tasks),
        );
        self::assertSame(['lab', 'parts', 'measure'], $schedule->tasks['report']->waitsFor);
        // Two of the laboratory's days are gone: 3 to 6 are left, and a day for the report.
        self::assertSame([4, 7, 5], [$schedule->leastDays, $schedule->mostDays, $schedule->daysPromised()]);
    }

    public function testWhatIsDoneSetsFreeWhatWaited(): void
    {
        $schedule = self::of(
            [
                'lab' => ['kind' => 'laboratory', 'taskState' => 'done', 'leastDays' => 5, 'done' => '2026-11-25'],
                'report' => ['leastDays' => 1, 'after' => ['lab']],
            ],
        );
        self::assertSame(Readiness::Now, $schedule->tasks['report']->readiness);
        self::assertSame([], $schedule->tasks['report']->waitsFor);
        self::assertSame(1, $schedule->mostDays);
    }

    public function testOverdueAndLateAreTwoThings(): void
    {
        $schedule = self::of([
            'answer' => ['kind' => 'customer', 'taskState' => 'begun', 'begun' => '2026-11-20', 'due' => '2026-11-25', 'leastDays' => 1],
            'soon' => ['leastDays' => 3, 'due' => '2026-11-27'],
            'fine' => ['leastDays' => 1, 'due' => '2026-11-27'],
            'was' => ['taskState' => 'done', 'due' => '2026-11-01'],
        ]);
        self::assertSame(['answer'], array_map(static fn ($task): string => $task->task->label, $schedule->overdue()));
        self::assertSame(
            ['answer' => true, 'soon' => true, 'fine' => false, 'was' => false],
            array_map(static fn ($task): bool => $task->isLate, $schedule->tasks),
        );
    }

    public function testTasksThatWaitForEachOtherAreNamed(): void
    {
        $schedule = self::of(
            ['a' => ['after' => ['b'], 'leastDays' => 1], 'b' => ['after' => ['a'], 'leastDays' => 2], 'c' => ['leastDays' => 1]],
        );
        self::assertSame(['a', 'b'], $schedule->loop);
        self::assertCount(3, $schedule->tasks);
    }

    public function testAPromiseThatHasPassedIsNegative(): void
    {
        self::assertSame(-6, self::of([], '2026-11-20')->daysPromised());
        self::assertSame(0, self::of([], '2026-11-26')->daysPromised());
    }

    /** A task that was taken back is not waited for. */
    public function testAnUnknownTaskHoldsNobodyUp(): void
    {
        self::assertSame(Readiness::Now, self::of(['report' => ['after' => ['gone']]])->tasks['report']->readiness);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function bad(): iterable
    {
        yield 'more at least than at most' => [['leastDays' => 5, 'mostDays' => 2], 'at most 2 days is less than at least 5'];
        yield 'done before it began' => [
            ['begun' => '2026-11-20', 'done' => '2026-11-10'], 'it cannot be done on 2026-11-10 and begun on 2026-11-20',
        ];
        yield 'for ever' => [['leastDays' => 4000], '0 to 400 days'];
        yield 'no name' => [['label' => ''], '/label'];
    }

    /** @param array<string, mixed> $data */
    #[DataProvider('bad')]
    public function testBadTasksAreRefusedInWords(array $data, string $words): void
    {
        try {
            Task::fromNode(Node::root($data + ['label' => 'x', 'kind' => 'work']));
            self::fail('It was taken.');
        } catch (BadDocument $problem) {
            self::assertStringContainsString($words, $problem->pointer.' '.$problem->reason);
        }
    }

    public function testAPromiseAndADueDayAreOverdueFromTheDayAfter(): void
    {
        $day = static fn (Schedule $schedule, bool $closed = false): ?string => $schedule->overdueFrom($closed)?->format('Y-m-d');
        self::assertNull($day(self::of([])));
        self::assertSame('2026-12-02', $day(self::of([], '2026-12-01')));
        self::assertNull($day(self::of([], '2026-12-01'), true), 'a closed case keeps its promise');
        $due = self::of(['a' => ['due' => '2026-11-30'], 'b' => ['due' => '2026-11-20', 'taskState' => 'done']], '2026-12-01');
        self::assertSame('2026-12-01', $day($due));
        self::assertSame('2026-12-01', $day($due, true));
    }

    public function testACaseIsAwayWhereNothingCanBeDoneMeanwhile(): void
    {
        $lab = ['kind' => 'laboratory', 'taskState' => 'begun'];
        self::assertFalse(self::of([])->isAway());
        self::assertTrue(self::of(['lab' => $lab, 'report' => ['after' => ['lab']]])->isAway());
        self::assertFalse(self::of(['lab' => $lab, 'measure' => []])->isAway());
        self::assertFalse(self::of(['measure' => []])->isAway());
    }
}
