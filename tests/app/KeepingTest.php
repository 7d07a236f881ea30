<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use Doctrine\DBAL\Connection;
use MuteTapper\App\Keeping\WorkerBeat;
use MuteTapper\App\Simulated\BenchCamera;
use MuteTapper\App\Simulated\DataLogger;
use MuteTapper\App\Simulated\PartPicture;
use Symfony\Component\Cache\Adapter\ArrayAdapter;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** What was stored is kept: copies made while people work, work of workers that were killed, and what the screen is told. */
final class KeepingTest extends AppTestCase
{
    private string $folder = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/mute-tapper-copy.'.getmypid();
        (new Filesystem())->remove($this->folder);
        (new Filesystem())->mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        (new Filesystem())->remove($this->folder);
        parent::tearDown();
    }

    private static function database(): Connection
    {
        $connection = self::getContainer()->get('doctrine.dbal.default_connection');
        self::assertInstanceOf(Connection::class, $connection);

        return $connection;
    }

    private static function export(string $case, ?string $data = null): string
    {
        return Racers::console(['case:export', $case], $data)->mustRun()->getOutput();
    }

    /** The ids of the entries of a case document, in order. */
    private static function entryIds(string $document): string
    {
        preg_match_all('/^ {12}"id": "([0-9a-f-]+)"/m', (string) strstr($document, '"entries"'), $ids);

        return implode("\n", $ids[1]);
    }

    public function testACopyMadeUnderFireIsRestoredByteForByte(): void
    {
        self::assertSame(0, self::command('demo:load')[0]);
        $case = $this->newCase();
        $picture = $this->folder.'/picture.png';
        file_put_contents($picture, (new BenchCamera(new ArrayAdapter()))->take(PartPicture::LobeNose, 2, 5));
        $writers = array_map(static fn (int $writer): array => [
            ...array_map(static fn (int $i): array => [
                'method' => 'POST', 'address' => "/api/cases/$case/entries",
                'body' => self::entry('task', ['engine', 'schedule', 'task', "t$writer-$i"], ['label' => 'Any', 'kind' => 'work']),
            ], range(1, 120)),
            ['method' => 'POST', 'address' => "/api/cases/$case/photographs", 'file' => $picture, 'type' => 'application/octet-stream'],
        ], [1, 2]);
        $racers = Racers::start($writers);
        $copies = [];
        do {
            $copies[] = $copy = $this->folder.'/copy'.\count($copies);
            Racers::console(['keeping:backup', $copy])->mustRun();
        } while ($racers->areRunning());
        foreach (array_merge(...$racers->answers()) as [$status]) {
            self::assertSame(201, $status);
        }
        self::assertGreaterThan(2, \count($copies), 'some of them while entries were made');
        /** @var list<string> $cases */
        $cases = self::database()->fetchFirstColumn('SELECT id FROM case_file ORDER BY number');
        $sizes = [];
        foreach ($copies as $i => $copy) {
            if ($i % max(1, intdiv(\count($copies), 4)) !== 0) {
                continue; // some of them, over the whole time
            }
            $restored = $this->folder.'/restored'.$i;
            Racers::console(['keeping:restore', $copy], $restored)->mustRun();
            foreach ($cases as $one) {
                $then = self::export($one, $restored);
                if ($one === $case) {
                    // The case under fire is what it was at that moment: its first entries, every one of them.
                    $sizes[] = substr_count($then, '"kind": "task"');
                    self::assertSame(0, strpos(self::entryIds(self::export($one)), self::entryIds($then)));
                } else {
                    self::assertSame(self::export($one), $then);
                }
            }
        }
        self::assertGreaterThan(0, max([0, ...$sizes]));
        $pictures = glob($this->folder.'/restored0/photographs/*/*');
        self::assertIsArray($pictures);
        $originals = array_filter($pictures, static fn (string $path): bool => preg_match('/^[0-9a-f]{64}$/', basename($path)) === 1);
        self::assertNotSame([], $originals);
        foreach ($originals as $path) {
            self::assertSame(basename($path), hash_file('sha256', $path));
        }
    }

    public function testTheManifestIsReadByAProgramThatKnowsNothingOfThisOne(): void
    {
        $this->newCase();
        $copy = $this->folder.'/copy';
        self::assertSame(0, self::command('keeping:backup', ['folder' => $copy])[0]);
        $check = new Process(['sha256sum', '--check', '--strict', '--quiet', 'manifest-sha256.txt'], $copy);
        self::assertSame(0, $check->run(), $check->getErrorOutput());
        self::assertSame('0600', substr(\sprintf('%o', fileperms($copy.'/cases.sqlite')), -4));
        self::assertSame('0700', substr(\sprintf('%o', fileperms($copy)), -4));
    }

    public function testACopyThatIsNotWholeAndAPlaceThatIsNotEmptyAreRefused(): void
    {
        $this->newCase();
        $copy = $this->folder.'/copy';
        self::assertSame(0, self::command('keeping:backup', ['folder' => $copy])[0]);
        [$status, $words] = self::command('keeping:backup', ['folder' => $copy]);
        self::assertSame([1, true], [$status, str_contains($words, 'is not empty')]);
        [$status, $words] = self::command('keeping:restore', ['folder' => $copy]);
        self::assertSame([1, true], [$status, str_contains($words, 'is not empty')], 'this shop has cases');
        $file = (string) file_get_contents($copy.'/cases.sqlite');
        file_put_contents($copy.'/cases.sqlite', substr_replace($file, 'x', 5000, 1));
        $restore = Racers::console(['keeping:restore', $copy], $this->folder.'/restored');
        self::assertSame(1, $restore->run());
        self::assertStringContainsString('not what the manifest says', $restore->getOutput());
        self::assertDirectoryDoesNotExist($this->folder.'/restored');
        $restore = Racers::console(['keeping:restore', $this->folder], $this->folder.'/restored');
        self::assertSame(1, $restore->run());
        self::assertStringContainsString('holds no copy of a shop', $restore->getOutput());
    }

    public function testTheWorkOfAKilledWorkerIsTakenUpAgain(): void
    {
        $case = $this->newCase();
        $log = '';
        foreach ((new DataLogger())->run(4000, 50, 7600.0, [31.0], 90.0) as $line) {
            $log .= $line;
        }
        $kept = $this->send('POST', "/api/cases/$case/logs", $log, 201, ['Content-Type' => 'application/octet-stream']);
        $ask = ['method' => 'POST', 'address' => '/api/logs/'.self::at($kept, 'sha256')->text().'/analyses', 'body' => [
            'format' => $kept['format'], 'thresholds' => $kept['thresholds'],
        ]];
        $asked = static fn (): array => Racers::start([[$ask]])->answers()[0][0];
        [$status, $analysis] = $asked();
        self::assertSame([202, 'waiting'], [$status, self::at($analysis, 'state')->text()]);
        $path = '/api/log-analyses/'.self::at($analysis, 'id')->text();
        $worker = Racers::console(['messenger:consume', 'work', '--keepalive=5', '--sleep=0.1', '--limit=1', '--time-limit=200']);
        $worker->start();
        $patience = microtime(true) + 120;
        do {
            usleep(20_000);
            $state = $this->send('GET', $path);
        } while (self::at($state, 'rows')->whole(0, \PHP_INT_MAX) === 0 && microtime(true) < $patience);
        $worker->signal(9);
        $worker->wait();
        $state = $this->send('GET', $path);
        self::assertSame('reading', $state['state'], 'killed in the middle of it');
        self::assertSame('reading', self::at($asked()[1], 'state')->text(), 'it moved a moment ago: nothing is begun twice');
        self::assertSame(1, self::database()->fetchOne('SELECT COUNT(*) FROM work_queue'));
        // A minute later.
        self::database()->executeStatement("UPDATE work_queue SET delivered_at = datetime('now', '-59 seconds')");
        Racers::console(['messenger:consume', 'work', '--keepalive=5', '--sleep=0.1', '--limit=1', '--time-limit=200'])->mustRun();
        $state = $this->send('GET', $path);
        self::assertSame(['ready', 200000], [$state['state'], $state['rows']]);

        // Where even the queue forgot it, asking again begins it again.
        self::database()->executeStatement("UPDATE log_analysis SET state = 'reading', moved_at = datetime('now', '-61 seconds')");
        self::assertSame('waiting', self::at($asked()[1], 'state')->text());
        self::assertSame(1, self::database()->fetchOne('SELECT COUNT(*) FROM work_queue'));
    }

    public function testAPictureThatRestsIsQueuedAgainOnAsking(): void
    {
        $case = $this->newCase();
        $file = $this->folder.'/picture.png';
        file_put_contents($file, (new BenchCamera(new ArrayAdapter()))->take(PartPicture::LobeNose, 2, 5));
        $ask = ['method' => 'POST', 'address' => "/api/cases/$case/photographs", 'file' => $file, 'type' => 'application/octet-stream'];
        Racers::start([[$ask]])->answers();
        self::database()->executeStatement('DELETE FROM work_queue');
        Racers::start([[$ask]])->answers();
        self::assertSame(1, self::database()->fetchOne('SELECT COUNT(*) FROM work_queue'));
    }

    public function testAJobThatFailedAgainAndAgainIsSaid(): void
    {
        self::database()->executeStatement(
            'INSERT INTO work_queue (body, headers, queue_name, created_at, available_at) '.
            "VALUES ('{}', '[]', 'failed', '2026-11-25', '2026-11-25')",
        );
        $troubles = implode(' ', self::at($this->send('GET', '/api/state'), 'troubles')->words());
        self::assertStringContainsString('1 job ended in a fault', $troubles);
    }

    public function testAMissingWorkerIsSaid(): void
    {
        $beat = self::getContainer()->get(WorkerBeat::class);
        self::assertInstanceOf(WorkerBeat::class, $beat);
        $troubles = implode(' ', self::at($this->send('GET', '/api/state'), 'troubles')->words());
        self::assertStringContainsString('working copies of photographs', $troubles);
        self::assertStringContainsString('reports and tags', $troubles);
        Racers::console(['messenger:consume', 'work', '--time-limit=1'])->mustRun();
        $troubles = implode(' ', self::at($this->send('GET', '/api/state'), 'troubles')->words());
        self::assertStringNotContainsString('working copies of photographs', $troubles);
        self::assertStringContainsString('reports and tags', $troubles);
    }
}
