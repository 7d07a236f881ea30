<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\App\Simulated\BenchCamera;
use MuteTapper\App\Simulated\DataLogger;
use MuteTapper\App\Simulated\PartPicture;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Cache\Adapter\ArrayAdapter;
use Symfony\Component\Uid\Uuid;

/**
 * Several processes write at once, on every path. Nobody is answered with a fault, no entry is refused against itself, and each
 * thing is stored once. The processes run the application as it is served, with its queue in the database.
 *
 * @phpstan-import-type Asked from Racers
 * @phpstan-import-type Answer from Racers
 */
final class RaceTest extends AppTestCase
{
    private const RACERS = 3;
    private const ROUNDS = 4;

    /**
     * @param list<list<Asked>> $racers
     *
     * @return list<list<Answer>> by racer
     */
    private static function raced(array $racers): array
    {
        return Racers::start($racers)->answers();
    }

    /**
     * @param list<list<Answer>> $answers
     *
     * @return array<int, int> how often each status was answered
     */
    private static function statuses(array $answers): array
    {
        $counts = [];
        foreach (array_merge(...$answers) as [$status, $body]) {
            self::assertLessThan(500, $status, json_encode($body, \JSON_THROW_ON_ERROR));
            $counts[$status] = ($counts[$status] ?? 0) + 1;
        }
        ksort($counts);

        return $counts;
    }

    /**
     * @param \Closure(int, int): Asked $request by racer and round
     *
     * @return list<list<Asked>>
     */
    private static function racers(\Closure $request, int $racers = self::RACERS): array
    {
        return array_map(
            static fn (int $racer): array => array_map(static fn (int $round): array => $request($racer, $round), range(1, self::ROUNDS)),
            range(1, $racers),
        );
    }

    private function rows(string $query): int
    {
        $connection = self::getContainer()->get('doctrine.dbal.default_connection');
        self::assertInstanceOf(\Doctrine\DBAL\Connection::class, $connection);
        $count = $connection->fetchOne($query);

        return is_numeric($count) ? (int) $count : 0;
    }

    /** @return Asked */
    private static function create(string $id): array
    {
        $engine = ['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 2];

        return [
            'method' => 'POST', 'address' => '/api/cases', 'body' => ['id' => $id, 'name' => 'Raced', 'by' => 'racer', 'engine' => $engine],
        ];
    }

    public function testCasesAreMadeAtOnceEachWithANumberOfItsOwn(): void
    {
        $same = array_map(static fn (): string => Uuid::v7()->toRfc4122(), range(1, self::ROUNDS));
        $answers = self::raced([
            ...self::racers(static fn (): array => self::create(Uuid::v7()->toRfc4122())),
            ...self::racers(static fn (int $racer, int $round): array => self::create($same[$round - 1]), 2),
        ]);
        self::assertSame([201 => 5 * self::ROUNDS], self::statuses($answers));
        $cases = self::RACERS * self::ROUNDS + self::ROUNDS;
        self::assertSame([$cases, $cases], [
            $this->rows('SELECT COUNT(*) FROM case_file'), $this->rows('SELECT COUNT(DISTINCT number) FROM case_file'),
        ]);
        self::assertSame($cases, $this->rows('SELECT COUNT(*) FROM queue_row'));
    }

    public function testAnEntrySentAtOnceByAllIsStoredOnceAndNeverRefusedAgainstItself(): void
    {
        $case = $this->newCase();
        $entries = array_map(static fn (int $round): array => self::height('1.80'.$round, 'A'.$round.'-E1'), range(1, self::ROUNDS));
        $answers = self::raced(self::racers(
            static fn (int $racer, int $round): array => [
                'method' => 'POST', 'address' => "/api/cases/$case/entries", 'body' => $entries[$round - 1],
            ],
        ));
        self::assertSame([200 => (self::RACERS - 1) * self::ROUNDS, 201 => self::ROUNDS], self::statuses($answers));
        self::assertSame(self::ROUNDS, $this->rows('SELECT COUNT(*) FROM entry'));
        self::assertSame(self::ROUNDS, $this->rows('SELECT COUNT(*) FROM slot_head'));
        self::assertSame(self::ROUNDS, $this->rows("SELECT COUNT(*) FROM audit WHERE action = 'entry reading'"));
    }

    public function testOfManyWhoFillASlotOneDoesAndTheOthersAreToldWho(): void
    {
        $case = $this->newCase();
        $answers = self::raced(self::racers(static fn (int $racer, int $round): array => [
            'method' => 'POST', 'address' => "/api/cases/$case/entries",
            'body' => ['by' => 'racer '.$racer] + self::height('1.80'.$racer, 'A'.$round.'-E1'),
        ]));
        self::assertSame([201 => self::ROUNDS, 409 => (self::RACERS - 1) * self::ROUNDS], self::statuses($answers));
        foreach (array_merge(...$answers) as [$status, $body]) {
            if ($status === 409) {
                self::assertNotSame(self::at($body, 'current/by')->text(), self::at($body, 'yours/by')->text());
            }
        }
    }

    /** @return iterable<string, array{\Closure(string): Asked, array<int, int>, string, int}> request by case, statuses, stored, times */
    public static function documents(): iterable
    {
        $call = ['causes' => ['not_listed'], 'words' => 'Unsure.', 'confidence' => 40, 'by' => 'racer'];
        yield 'description' => [
            static fn (string $case): array => [
                'method' => 'PUT', 'address' => "/api/cases/$case/description", 'headers' => ['If-Match' => '"1"'],
                'body' => ['name' => 'N', 'story' => (object) [], 'settings' => ['units' => 'inch', 'school' => 'usual'], 'by' => 'racer'],
            ], [200 => 1, 412 => self::RACERS - 1], "SELECT COUNT(*) FROM audit WHERE action = 'description'", 1,
        ];
        yield 'engine' => [
            static fn (string $case): array => [
                'method' => 'PUT', 'address' => "/api/cases/$case/engine?by=racer", 'headers' => ['If-Match' => '"1"'],
                'body' => ['layout' => 'vee', 'drive' => 'pushrod', 'cylinders' => 8, 'rockerRatio' => 1.6],
            ], [200 => 1, 412 => self::RACERS - 1], "SELECT COUNT(*) FROM audit WHERE action = 'engine'", 1,
        ];
        yield 'call' => [
            static fn (string $case): array => [
                'method' => 'PUT', 'address' => "/api/cases/$case/call", 'headers' => ['If-Match' => '"2"'], 'body' => $call,
            ], [200 => 1, 412 => self::RACERS - 1], "SELECT COUNT(*) FROM audit WHERE action = 'call'", 2,
        ];
        yield 'signature' => [
            static fn (string $case): array => [
                'method' => 'POST', 'address' => "/api/cases/$case/call/signature", 'headers' => ['If-Match' => '"2"'],
                'body' => ['by' => 'racer'],
            ], [200 => 1, 409 => self::RACERS - 1], 'SELECT COUNT(*) FROM signed_call', 1,
        ];
        yield 'setting aside' => [
            static fn (string $case): array => [
                'method' => 'PUT', 'address' => "/api/cases/$case/set-aside", 'body' => ['aside' => true, 'by' => 'racer'],
            ], [200 => self::RACERS], 'SELECT COUNT(*) FROM queue_row WHERE set_aside = 1', 1,
        ];
        yield 'paper' => [
            static fn (string $case): array => [
                'method' => 'POST', 'address' => "/api/cases/$case/papers", 'body' => ['kind' => 'report'],
            ], [202 => self::RACERS], 'SELECT (SELECT COUNT(*) FROM paper) + (SELECT COUNT(*) FROM work_queue)', 2,
        ];
        yield 'engine of the library' => [
            static fn (): array => [
                'method' => 'POST', 'address' => '/api/engines',
                'body' => ['name' => 'Raced', 'by' => 'racer', 'engine' => ['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 2]],
            ], [201 => 1, 409 => self::RACERS - 1], 'SELECT COUNT(*) FROM library_version', 1,
        ];
        $asked = Uuid::v7()->toRfc4122();
        yield 'question to a laboratory' => [
            static fn (string $case): array => [
                'method' => 'POST', 'address' => "/api/cases/$case/laboratory-requests",
                'body' => ['id' => $asked, 'task' => 't', 'laboratory' => 'oil', 'request' => 'wear metals', 'by' => 'racer'],
            ], [202 => self::RACERS], 'SELECT (SELECT COUNT(*) FROM work_queue) + (SELECT COUNT(*) FROM entry)', 2,
        ];
    }

    /**
     * @param \Closure(string): Asked $request
     * @param array<int, int> $statuses
     */
    #[DataProvider('documents')]
    public function testADocumentIsChangedByOneAndTheOthersAreTold(
        \Closure $request,
        array $statuses,
        string $stored,
        int $times,
    ): void {
        $case = $this->newCase();
        $this->send(
            'PUT', "/api/cases/$case/call", ['causes' => ['not_listed'], 'words' => 'First.', 'confidence' => 10, 'by' => 'tests'], 200,
            ['If-Match' => '"1"'],
        );
        $racers = array_map(static fn (): array => [$request($case)], range(1, self::RACERS));
        self::assertSame($statuses, self::statuses(self::raced($racers)));
        self::assertSame($times, $this->rows($stored));
    }

    public function testTheSamePictureLogAndReadingOfItSentAtOnceAreKeptOnce(): void
    {
        $case = $this->newCase();
        $picture = (string) tempnam(sys_get_temp_dir(), 'race');
        file_put_contents($picture, (new BenchCamera(new ArrayAdapter()))->take(PartPicture::SpringCoils, 3, 9));
        $log = (string) tempnam(sys_get_temp_dir(), 'race');
        file_put_contents($log, implode('', [...(new DataLogger())->run(20, 50, 7600.0, [11.0], 90.0)]));
        $sha256 = (string) hash_file('sha256', $log);
        $kept = $this->send(
            'POST', "/api/cases/$case/logs", (string) file_get_contents($log), 201, ['Content-Type' => 'application/octet-stream'],
        );
        $requests = [
            ['method' => 'POST', 'address' => "/api/cases/$case/photographs", 'file' => $picture, 'type' => 'application/octet-stream'],
            ['method' => 'POST', 'address' => "/api/cases/$case/logs", 'file' => $log, 'type' => 'application/octet-stream'],
            [
                'method' => 'POST', 'address' => "/api/logs/$sha256/analyses",
                'body' => ['format' => $kept['format'], 'thresholds' => $kept['thresholds']],
            ],
        ];
        $statuses = self::statuses(self::raced(array_fill(0, self::RACERS, $requests)));
        unlink($picture);
        unlink($log);
        self::assertSame([201 => 2 * self::RACERS, 202 => self::RACERS], $statuses);
        foreach (['photograph', 'log_file', 'log_analysis', 'picture_of_case'] as $table) {
            self::assertSame(1, $this->rows('SELECT COUNT(*) FROM '.$table), $table);
        }
        self::assertSame(1, $this->rows("SELECT COUNT(*) FROM work_queue WHERE body LIKE '%AnalyseLog%'"));
    }

    /**
     * Nobody waits for the whole of an import, of which only the storing is locked: the least of three rounds, since a machine that
     * stalls makes anybody wait.
     */
    public function testALongImportBesideWritersSucceedsAndNobodyWaitsLong(): void
    {
        $least = \INF;
        for ($round = 1; $round <= 3 && $least >= 0.6; ++$round) {
            $least = min($least, $this->importBesideWriters($round));
        }
        self::assertLessThan(0.6, $least, 'The longest wait of an entry, as a share of the import.');
    }

    private function importBesideWriters(int $round): float
    {
        $case = $this->newCase();
        $document = (string) tempnam(sys_get_temp_dir(), 'race');
        $entries = [];
        $supersedes = [];
        foreach (range(1, 20000) as $i) {
            $station = 'A'.($i % 4 + 1).'-E1';
            $id = Uuid::v7()->toRfc4122();
            $entries[] = [
                'id' => $id, 'kind' => 'look', 'slot' => ['place' => $station, 'part' => 'valve', 'item' => 'look'],
                'supersedes' => $supersedes[$station] ?? null, 'by' => 'somebody', 'at' => '2026-11-25T10:00:00Z',
                'data' => ['state' => 'as_found'],
            ];
            $supersedes[$station] = $id;
        }
        file_put_contents($document, json_encode([
            'format' => 'mute-tapper-case', 'version' => 1, 'entries' => $entries,
            'case' => ['id' => Uuid::v7()->toRfc4122(), 'name' => 'Long', 'created_at' => '2026-11-25T10:00:00Z'],
            'engine' => ['layout' => 'vee', 'drive' => 'pushrod', 'cylinders' => 8],
        ], \JSON_THROW_ON_ERROR));
        $import = ['method' => 'POST', 'address' => '/api/cases/import?by=racer', 'file' => $document];
        $writers = array_map(static fn (int $writer): array => array_map(static fn (int $i): array => [
            'method' => 'POST', 'address' => "/api/cases/$case/entries",
            'body' => self::entry('task', ['engine', 'schedule', 'task', "t$writer-$i"], ['label' => 'Any', 'kind' => 'work']),
        ], range(1, 150)), [1, 2]);
        $answers = self::raced([[$import], ...$writers]);
        unlink($document);
        self::assertSame([201 => 301], self::statuses($answers));
        self::assertSame(20300 * $round, $this->rows('SELECT COUNT(*) FROM entry'));

        return max([0.0, ...array_column(array_merge($answers[1], $answers[2]), 2)]) / $answers[0][0][2];
    }
}
