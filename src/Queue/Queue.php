<?php

declare(strict_types=1);

namespace MuteTapper\App\Queue;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use MuteTapper\App\Schedule\ScheduleView;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Schedule\Promise;
use MuteTapper\Core\Schedule\Schedule;
use MuteTapper\Core\Schedule\Task;
use Psr\Clock\ClockInterface;

/** Reads the bench queue, newest first, a page at a time. */
final readonly class Queue
{
    private const PAGE = 40;

    public function __construct(private Connection $connection, private CaseSearch $search, private ClockInterface $clock)
    {
    }

    /**
     * @param string $person whose cases are “mine”
     * @param int|null $before cursor: cases with a lower number
     */
    public function page(ShopView $view, string $person, string $words, ?int $before): QueueView
    {
        $match = $this->search->matching($words);
        $rows = $this->connection->fetchAllAssociative(
            sprintf(
                'SELECT q.number, q.case_id, q.set_aside, q.unreadable, q.content FROM queue_row q WHERE %s AND q.number < :before%s '.
                'ORDER BY q.number DESC LIMIT %d',
                $view->condition(), $match === null ? '' : ' AND q.number IN ('.$match[0].')', self::PAGE + 1,
            ),
            ['before' => $before ?? \PHP_INT_MAX] + ($match[1] ?? []) + $this->parameters($view, $person),
        );
        $page = array_slice($rows, 0, self::PAGE);
        $found = $this->search->found(
            $words, array_map(static fn (array $row): int => Node::root($row)->get('number')->whole(1, \PHP_INT_MAX), $page),
        );
        $shown = array_map(fn (array $row): QueueRowView => $this->row($row, $found), $page);

        return new QueueView(
            $shown, count($rows) > self::PAGE ? $shown[self::PAGE - 1]->number : null, $this->counts($person), $this->plans($shown),
        );
    }

    /**
     * @param list<QueueRowView> $rows
     *
     * @return array<string, string> JSON by key
     */
    private function plans(array $rows): array
    {
        $keys = array_values(array_unique(array_map(static fn (QueueRowView $row): string => $row->plan ?? '', $rows)));
        /** @var array<string, string> $plans */
        $plans = $this->connection->fetchAllKeyValue(
            'SELECT hash, content FROM head_plan WHERE hash IN (?)', [$keys], [ArrayParameterType::STRING],
        );

        return $plans;
    }

    /** @return array<string, int> by code of the view */
    private function counts(string $person): array
    {
        $counts = [];
        foreach (ShopView::cases() as $view) {
            $count = $this->connection->fetchOne(
                'SELECT COUNT(*) FROM queue_row q WHERE '.$view->condition(), $this->parameters($view, $person),
            );
            $counts[$view->value] = is_numeric($count) ? (int) $count : 0;
        }

        return $counts;
    }

    /** @return array<string, string> */
    private function parameters(ShopView $view, string $person): array
    {
        return match ($view) {
            ShopView::Mine => ['person' => $person],
            ShopView::Overdue => ['day' => $this->clock->now()->format('Y-m-d')],
            default => [],
        };
    }

    /**
     * @param array<string, mixed> $stored
     * @param array<int, string> $found by number
     */
    private function row(array $stored, array $found): QueueRowView
    {
        $row = Node::root($stored);
        $content = Node::root(json_decode($row->get('content')->text(\PHP_INT_MAX), true, 64));
        $word = static fn (string $key): string => $content->maybe($key)?->text() ?? '';
        $count = static fn (string $key): int => $content->maybe($key)?->whole(0, \PHP_INT_MAX) ?? 0;
        $unreadable = $row->maybe('unreadable')?->text();
        $number = $row->get('number')->whole(1, \PHP_INT_MAX);

        return new QueueRowView(
            $row->get('case_id')->text(), $number, (bool) $row->get('set_aside')->raw(), $unreadable,
            $found[$number] ?? '', $word('name'), $word('customer'), $word('words'), $word('engine'),
            $content->maybe('plan')?->text(), $content->maybe('failed')?->words() ?? [], $content->maybe('firstEvent')?->text(),
            (object) ($content->maybe('next')?->map() ?? ['step' => 'story', 'words' => '', 'place' => null]),
            (object) ($content->maybe('worst')?->map() ?? []), $count('stations'), $count('lookedAt'), $count('springsMeasured'),
            $count('photographs'), ScheduleView::of($this->schedule($content)),
        );
    }

    /** Days pass while a row lies: its tasks are stored, and where they stand today is worked out now. */
    private function schedule(Node $content): Schedule
    {
        try {
            return Schedule::ofTasks(
                array_map(static fn (Node $task): Task => Task::fromNode($task), $content->maybe('tasks')?->members() ?? []),
                $content->has('promise') ? Promise::fromNode($content->get('promise')) : null, $this->clock->now(),
            );
        } catch (BadDocument) {
            return Schedule::ofTasks([], null, $this->clock->now());
        }
    }
}
