<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use Doctrine\DBAL\Connection;
use MuteTapper\Core\Document\Node;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

/** The queue is read from one stored row a case, found by words, a page at a time. */
final class QueueTest extends AppTestCase
{
    /** @return list<int> numbers of the cases that are shown */
    private function numbers(string $query): array
    {
        return array_map(
            static fn (Node $row): int => $row->get('number')->whole(1, 9999), self::at(
                $this->send('GET', '/api/cases'.$query), 'rows',
            )->items(),
        );
    }

    private function described(string $name, string $customer, string $words): string
    {
        $case = $this->newCase();
        $this->send('PUT', "/api/cases/$case/description", [
            'name' => $name, 'story' => ['customer' => $customer, 'words' => $words], 'by' => 'Ada of the tests',
            'settings' => ['units' => 'inch', 'school' => 'usual'],
        ], 200, ['If-Match' => '"1"']);

        return $case;
    }

    /** @return iterable<string, array{string, list<int>}> words, numbers */
    public static function searches(): iterable
    {
        yield 'number' => ['0001', [1]];
        yield 'name' => ['kettle', [1]];
        yield 'beginning of a word' => ['kett', [1]];
        yield 'customer, without its accent' => ['Café', [1]];
        yield 'customer, typed without the accent' => ['cafe', [1]];
        yield 'word of the story' => ['rattled', [2]];
        yield 'a note' => ['blued', [2]];
        yield 'a part' => ['spring', [2]];
        yield 'a sign' => ['adjacent coils bright', [2]];
        yield 'a cause that is called' => ['installed height', [1]];
        yield 'a word of the call' => ['shimmed', [1]];
        yield 'every word is needed' => ['kettle rattled', []];
        yield 'words of both' => ['tests', [2, 1]];
        yield 'syntax means nothing' => ['kettle" OR "rattled', []];
        yield 'nor do operators' => ['NEAR( * ^ - :', []];
        yield 'punctuation alone asks for nothing' => ['***', [2, 1]];
        yield 'what was withdrawn is not found' => ['mistaken', []];
    }

    /** @param list<int> $numbers */
    #[DataProvider('searches')]
    public function testACaseIsFoundByWhatStandsInIt(string $words, array $numbers): void
    {
        $first = $this->described('Kettle single', 'Café of the tests', 'It went quiet.');
        $second = $this->described('Ladle twin', 'Garage of the tests', 'It rattled, then it stopped.');
        $this->send(
            'POST', "/api/cases/$second/entries",
            self::entry('finding', ['A1-E1', 'spring', 'coils_bright'], ['severity' => 3, 'note' => 'blued at the ends']), 201,
        );
        $mistaken = self::entry('task', ['engine', 'schedule', 'task', 'x'], ['label' => 'mistaken', 'kind' => 'work']);
        $this->send('POST', "/api/cases/$second/entries", $mistaken, 201);
        $this->send(
            'POST', "/api/cases/$second/entries",
            ['id' => Uuid::v7()->toRfc4122(), 'kind' => 'withdrawal', 'supersedes' => $mistaken['id'], 'data' => []] + $mistaken, 201,
        );
        $this->send(
            'PUT', "/api/cases/$first/call",
            [
                'causes' => ['installed_height_small'], 'words' => 'It was shimmed twice.', 'confidence' => 70, 'by' => 'tests',
            ], 200, ['If-Match' => '"1"'],
        );
        self::assertSame($numbers, $this->numbers('?find='.rawurlencode($words)));
    }

    public function testWhereTheWordsWereFoundIsShown(): void
    {
        $this->described(
            'Kettle single', 'Garage', str_repeat('much was said before ', 30).'and then the tappet went mute and '.str_repeat('more ', 30),
        );
        $found = self::at($this->send('GET', '/api/cases?find=tappet'), 'rows/0/found')->text();
        self::assertStringContainsString('the tappet went', $found);
        self::assertLessThan(140, mb_strlen($found));
    }

    public function testTheViewsOfTheShop(): void
    {
        $cases = array_map(fn (int $i): string => $this->newCase(), range(1, 5));
        $away = ['label' => 'Any', 'kind' => 'laboratory', 'taskState' => 'begun'];
        $this->send('POST', "/api/cases/$cases[1]/entries", self::entry('task', ['engine', 'schedule', 'task', 't'], $away), 201);
        $this->send(
            'POST', "/api/cases/$cases[2]/entries", self::entry(
                'promise', ['engine', 'schedule', 'promise'], ['date' => '2020-02-01'],
            ), 201,
        );
        $this->send(
            'PUT', "/api/cases/$cases[3]/call",
            ['causes' => ['not_listed'], 'words' => 'Unsure.', 'confidence' => 40, 'by' => 'Ada'], 200, ['If-Match' => '"1"'],
        );
        $this->send('POST', "/api/cases/$cases[3]/call/signature", ['by' => 'Ada'], 200, ['If-Match' => '"2"']);
        $this->send('PUT', "/api/cases/$cases[4]/set-aside", ['aside' => true, 'by' => 'Ada']);
        $expected = [
            'all' => [4, 3, 2, 1], 'mine' => [4], 'bench' => [3, 1], 'waiting' => [2], 'overdue' => [3], 'signed' => [4], 'aside' => [5],
        ];
        foreach ($expected as $view => $numbers) {
            self::assertSame($numbers, $this->numbers("?view=$view&person=Ada"), $view);
        }
        self::assertSame(array_map(count(...), $expected), self::at($this->send('GET', '/api/cases?person=Ada'), 'counts')->map());
        self::assertSame(
            'overdue', self::at($this->send('GET', '/api/cases?view=overdue'), 'rows/0/schedule/late')->flag() ? 'overdue' : '',
        );
        $this->send('GET', '/api/cases?view=nonsense', null, 422);
        $this->send('GET', '/api/cases?before=now', null, 422);
    }

    public function testPagesFollowEachOtherWithoutGapOrRepeat(): void
    {
        $this->newCase();
        $connection = self::getContainer()->get('doctrine.dbal.default_connection');
        self::assertInstanceOf(Connection::class, $connection);
        // As a big shop has them: rows alone, each with a case of its own.
        foreach (range(2, 100) as $number) {
            $connection->executeStatement(
                "INSERT INTO case_file SELECT revision, description_version, engine_version, call_document, call_version, 'case-$number', ".
                "$number, name, engine, description, created_at, copied_from, set_aside, signed_version FROM case_file WHERE number = 1",
            );
            $connection->executeStatement(
                "INSERT INTO queue_row SELECT $number, 'case-$number', signed, set_aside, away, overdue_from, made_by, ".
                'unreadable, content '.
                'FROM queue_row WHERE number = 1',
            );
        }
        $seen = [];
        $before = '';
        do {
            $page = $this->send('GET', '/api/cases?before='.$before);
            $seen = [
                ...$seen, ...array_map(static fn (Node $row): int => $row->get('number')->whole(1, 999), self::at($page, 'rows')->items()),
            ];
            $before = $page['next'];
        } while (\is_int($before));
        self::assertSame(range(100, 1), $seen);
        self::assertSame(100, self::at($this->send('GET', '/api/cases'), 'counts/all')->whole(0, 999));
    }
}
