<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use Doctrine\DBAL\Connection;
use MuteTapper\App\Simulated\BenchCamera;
use MuteTapper\App\Simulated\PartPicture;
use MuteTapper\Core\Document\Node;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Cache\Adapter\ArrayAdapter;
use Symfony\Component\Uid\Uuid;

/** What is broken is told in words, harms nothing else, and nothing is stored that cannot be shown. */
final class FaultTest extends AppTestCase
{
    private string $case = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->case = $this->newCase();
    }

    private static function database(): Connection
    {
        $connection = self::getContainer()->get('doctrine.dbal.default_connection');
        self::assertInstanceOf(Connection::class, $connection);

        return $connection;
    }

    /** @return list<Node> */
    private function queue(string $query = ''): array
    {
        return self::at($this->send('GET', '/api/cases'.$query), 'rows')->items();
    }

    /** @param array<string, mixed> $changes of the sample document */
    private static function document(array $changes): string
    {
        $document = json_decode((string) file_get_contents(\dirname(__DIR__).'/core/standalone-case.json'), true, 64, \JSON_THROW_ON_ERROR);
        self::assertIsArray($document);

        return json_encode($changes + $document, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> changes, pointer of the refusal */
    public static function badDocuments(): iterable
    {
        $signed = ['id' => '01900000-0000-7000-8000-0000000000f1', 'by' => 'x', 'at' => '2026-11-25T10:00:00Z'];
        $call = ['causes' => ['not_listed'], 'words' => 'w', 'confidence' => 50, 'by' => 'x'];
        $content = ['call' => $call, 'ranking' => ['sentence' => 's'], 'revision' => 3];
        yield 'signed call of nothing' => [['signed_calls' => [$signed + ['content' => ['x' => 1]]]], '/signed_calls/0/content/call'];
        yield 'signed call without its ranking' => [
            ['signed_calls' => [$signed + ['content' => ['ranking' => ['x' => 1]] + $content]]], '/signed_calls/0/content/ranking/sentence',
        ];
        yield 'signed at no time' => [
            ['signed_calls' => [['at' => '2026-11-25T99:99'] + $signed + ['content' => $content]]], '/signed_calls/0/at',
        ];
        yield 'call of no cause' => [['call' => ['causes' => ['nonsense']] + $call], '/call/causes/0'];
        yield 'call with too many words' => [['call' => ['words' => str_repeat('w', 8001)] + $call], '/call/words'];
        yield 'call by nobody' => [['call' => ['by' => ' '] + $call], '/call/by'];
        yield 'school of nobody' => [['settings' => ['units' => 'inch', 'school' => 'nonsense']], '/settings/school'];
        $engine = ['layout' => 'vee', 'drive' => 'pushrod', 'cylinders' => 8];
        yield 'a fact of the build by any name' => [
            ['entries' => [], 'engine' => $engine + ['flags' => ['<b>any</b>' => 'yes']]], '/engine/flags',
        ];
        yield 'made at no time' => [
            ['case' => ['id' => Uuid::v7()->toRfc4122(), 'name' => 'x', 'created_at' => '-5000-01-01T00:00:00Z']], '/case/created_at',
        ];
        yield 'photograph received at no time' => [
            ['photographs' => [['sha256' => str_repeat('a', 64), 'received_at' => '2026-02-31T10:00:00Z']]], '/photographs/0/received_at',
        ];
        $entry = ['id' => '01900000-0000-7000-8000-0000000000e1', 'by' => 'x', 'at' => '2026-11-25T10:00:00Z'];
        yield 'finding on no part' => [
            ['entries' => [$entry + [
                'kind' => 'finding', 'slot' => [
                    'place' => 'A1-E1', 'part' => 'wing', 'item' => 'coils_bright',
                ], 'data' => ['severity' => 2],
            ]]], '/entries/0/slot',
        ];
        yield 'entry far in the future' => [
            ['entries' => [['at' => '102026-11-25T10:00:00Z'] + $entry + [
                'kind' => 'look', 'slot' => ['place' => 'A1-E1', 'part' => 'valve', 'item' => 'look'], 'data' => ['state' => 'as_found'],
            ]]], '/entries/0/at',
        ];
    }

    /** @param array<string, mixed> $changes */
    #[DataProvider('badDocuments')]
    public function testWhatCannotBeShownIsRefusedWithItsFieldAndNotStored(array $changes, string $pointer): void
    {
        $problem = $this->send('POST', '/api/cases/import?by=tests', self::document($changes), 422);
        self::assertSame($pointer, $problem['pointer']);
        self::assertCount(1, $this->queue());
        $file = tempnam(sys_get_temp_dir(), 'case');
        file_put_contents($file, self::document($changes));
        self::assertSame(1, self::command('case:check', ['file' => $file])[0], 'checked as it is imported');
        unlink($file);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> entry, pointer of the refusal */
    public static function badEntries(): iterable
    {
        yield 'kind is a number' => [['kind' => 0] + self::height('1.8'), '/kind'];
        yield 'reason is a number' => [['reason' => 0] + self::height('1.8'), '/reason'];
        foreach (['+100000 years', 'tomorrow', '@99999999999999', '2026-02-31T10:00:00Z'] as $at) {
            yield 'at '.$at => [['at' => $at] + self::height('1.8'), '/at'];
        }
        foreach (
            ['task' => ['label' => 'x', 'kind' => 'work'], 'order' => ['codes' => []], 'event' => ['what' => 'run']] as $kind => $data
        ) {
            yield $kind.' in the promise’s slot' => [self::entry($kind, ['engine', 'schedule', 'promise'], $data), '/slot'];
        }
        yield 'withdrawal of nothing' => [self::entry('withdrawal', ['A1-E1', 'valve', 'lash'], []), '/supersedes'];
    }

    /** @param array<string, mixed> $entry */
    #[DataProvider('badEntries')]
    public function testAnEntryThatNothingCouldReadIsRefused(array $entry, string $pointer): void
    {
        $problem = $this->send('POST', "/api/cases/$this->case/entries", $entry, 422);
        self::assertSame($pointer, $problem['pointer']);
        $this->queue();
        $this->send('GET', "/api/cases/$this->case");
    }

    public function testAnUnreadableEntryIsNamedHarmsNoOtherAndCanBeTakenBack(): void
    {
        $this->send('POST', "/api/cases/$this->case/entries", self::height('1.800'), 201);
        $broken = ['id' => Uuid::v7()->toRfc4122()] + self::height('1.810', 'A2-E1');
        $this->send('POST', "/api/cases/$this->case/entries", $broken, 201);
        foreach (['kind' => 'seance', 'recorded_at' => '102026-01-01', 'data' => '{"value":7}', 'part' => 'wing'] as $column => $value) {
            $old = self::database()->fetchOne("SELECT $column FROM entry WHERE id = ?", [$broken['id']]);
            self::database()->executeStatement("UPDATE entry SET $column = ? WHERE id = ?", [$value, $broken['id']]);
            self::database()->executeStatement("UPDATE slot_head SET read_by = 'another build'");
            $view = $this->send('GET', "/api/cases/$this->case");
            self::assertSame(
                [$broken['id']], array_map(static fn (Node $one): string => $one->get('id')->text(), self::at($view, 'unread')->items()),
            );
            self::assertNotSame('', self::at($view, 'unread/0/reason')->text());
            self::assertCount(1, self::at($view, 'entries')->items());
            foreach (['ranking', 'sheets/springs', 'teardown', 'schedule', 'timeline', 'custody', 'measures'] as $derived) {
                $this->client->request('GET', "/api/cases/$this->case/$derived");
                self::assertResponseIsSuccessful($derived);
            }
            $this->client->request('GET', "/api/cases/$this->case/report.html");
            self::assertResponseIsSuccessful();
            self::assertStringContainsString('1 entry is stored that cannot be read', (string) $this->client->getResponse()->getContent());
            $this->client->request('GET', "/api/cases/$this->case/case.json");
            self::assertStringContainsString(
                trim($value, '{}'), str_replace(': ', ':', (string) $this->client->getResponse()->getContent()),
            );
            self::database()->executeStatement("UPDATE entry SET $column = ? WHERE id = ?", [$old, $broken['id']]);
        }
        self::database()->executeStatement("UPDATE entry SET data = '{\"value\":7}' WHERE id = ?", [$broken['id']]);
        $conflict = $this->send('POST', "/api/cases/$this->case/entries", self::height('1.812', 'A2-E1'), 409);
        self::assertSame($broken['id'], $conflict['unread']);
        $this->send(
            'POST', "/api/cases/$this->case/entries",
            ['kind' => 'withdrawal', 'supersedes' => $broken['id'], 'data' => []] + self::height('', 'A2-E1'), 201,
        );
        self::assertSame([], $this->send('GET', "/api/cases/$this->case")['unread']);
    }

    public function testAnUnreadableCaseIsOneMarkedRowThatCanBeSavedAndSetAside(): void
    {
        $other = $this->newCase();
        self::database()->executeStatement("UPDATE case_file SET engine = '{}' WHERE id = ?", [$this->case]);
        self::assertSame(0, self::command('queue:rebuild')[0]);
        self::database()->executeStatement("UPDATE queue_row SET made_by = 'another build'");
        self::assertSame(0, self::command('queue:rebuild')[0]);
        $rows = $this->queue();
        self::assertSame([$other, $this->case], array_map(static fn (Node $row): string => $row->get('id')->text(), $rows));
        self::assertNull($rows[0]->get('unreadable')->raw());
        self::assertStringContainsString('/drive', $rows[1]->get('unreadable')->text());
        $this->send('GET', "/api/cases/$this->case", null, 422);
        $raw = $this->send('GET', "/api/cases/$this->case/raw.json");
        self::assertSame('{}', self::at($raw, 'case_file/0/engine')->text());
        $this->send('PUT', "/api/cases/$this->case/set-aside", ['aside' => true, 'by' => 'tests']);
        self::assertSame([$other], array_map(static fn (Node $row): string => $row->get('id')->text(), $this->queue()));
        self::assertSame($this->case, $this->queue('?view=aside')[0]->get('id')->text());
        $this->send('PUT', "/api/cases/$this->case/set-aside", ['aside' => false, 'by' => 'tests']);
        self::assertCount(2, $this->queue());
    }

    public function testTheCallThatHoldsIsTheLastInOrderOfSigning(): void
    {
        $call = ['causes' => ['not_listed'], 'confidence' => 40, 'by' => 'tests'];
        foreach (['First.', 'Second.', 'Third.'] as $i => $words) {
            $this->send('PUT', "/api/cases/$this->case/call", ['words' => $words] + $call, 200, ['If-Match' => '"'.($i + 1).'"']);
            $this->send('POST', "/api/cases/$this->case/call/signature", ['by' => 'tests'], 200, ['If-Match' => '"'.($i + 2).'"']);
        }
        $this->send('POST', "/api/cases/$this->case/call/signature", ['by' => 'not named'], 422, ['If-Match' => '"4"']);
        $problem = $this->send('POST', "/api/cases/$this->case/call/signature", ['by' => 'tests'], 409, ['If-Match' => '"4"']);
        self::assertStringContainsString('Change it first', self::at($problem, 'detail')->text());
        // Three in one second, and a clock that went back in between.
        self::database()->executeStatement("UPDATE signed_call SET signed_at = '2019-01-01 00:00:00' WHERE seq = 3");
        self::ensureKernelShutdown();
        $this->client = self::createClient();
        $view = $this->send('GET', "/api/cases/$this->case");
        self::assertSame('Third.', self::at($view, 'signed/call/words')->text());
        self::assertTrue(self::at($view, 'signed/stands')->flag());
        $this->send('PUT', "/api/cases/$this->case/call", ['words' => 'Fourth.'] + $call, 200, ['If-Match' => '"4"']);
        self::assertFalse(self::at($this->send('GET', "/api/cases/$this->case"), 'signed/stands')->flag());
        $this->client->request('GET', "/api/cases/$this->case/report.html");
        self::assertStringContainsString('Third.', (string) $this->client->getResponse()->getContent());
    }

    public function testACauseThatTheCatalogueDoesNotListAnyMoreKeepsItsCode(): void
    {
        $call = ['causes' => ['dropped_cause'], 'words' => 'It was that.', 'confidence' => 50, 'by' => 'x'];
        $signed = ['id' => '01900000-0000-7000-8000-0000000000f1', 'by' => 'x', 'at' => '2026-11-25T10:00:00Z', 'content' => [
            'call' => $call, 'ranking' => ['sentence' => 'So it was.'], 'revision' => 3,
        ]];
        $case = self::at(
            $this->send('POST', '/api/cases/import?by=tests', self::document(['signed_calls' => [$signed]]), 201), 'id',
        )->text();
        self::assertSame('dropped_cause', $this->queue()[0]->get('firstEvent')->text());
        $this->client->request('GET', "/api/cases/$case/report.html");
        self::assertStringContainsString('dropped_cause', (string) $this->client->getResponse()->getContent());
    }

    public function testAControlCharacterDrawnOnAPhotographDoesNotEndTheReport(): void
    {
        $picture = $this->send(
            'POST', "/api/cases/$this->case/photographs", (new BenchCamera(new ArrayAdapter()))->take(PartPicture::SpringCoils, 3, 9), 201,
            ['Content-Type' => 'application/octet-stream'],
        );
        $this->send(
            'POST', "/api/cases/$this->case/entries",
            self::entry('photograph', ['A1-E1', 'spring', 'photograph', 'p'], ['sha256' => $picture['sha256']]), 201,
        );
        $drawn = ['sha256' => $picture['sha256'], 'shape' => 'text', 'points' => [[10, 10]], 'words' => "over\x0bhere \u{FFFE}"];
        $this->send(
            'POST', "/api/cases/$this->case/entries", self::entry('annotation', ['A1-E1', 'spring', 'annotation', 'a'], $drawn), 201,
        );
        $this->client->request('GET', "/api/cases/$this->case/report.html");
        self::assertResponseIsSuccessful();
        self::assertStringStartsWith('%PDF', $this->paper("/api/cases/$this->case", 'report'));
    }

    public function testNamesThatAreNotUtf8AreTakenOrRefusedInWords(): void
    {
        $picture = (new BenchCamera(new ArrayAdapter()))->take(PartPicture::SpringCoils, 3, 9);
        $kept = $this->send('POST', "/api/cases/$this->case/photographs", $picture, 201, [
            'Content-Type' => 'application/octet-stream', 'X-File-Name' => '%ff%fe.png',
        ]);
        self::assertStringEndsWith('.png', self::at($kept, 'fileName')->text());
        $this->send('POST', "/api/cases/$this->case/photographs", 'no picture', 415, [
            'Content-Type' => 'application/octet-stream', 'X-File-Name' => '%ff',
        ]);
        $this->send('POST', '/api/cases/import?by=tests&file=%ff', '{}', 422);
        $this->send('GET', '/api/cases?find=%ff%fe&person=%ff');
        $this->send('PUT', "/api/cases/$this->case/engine?by=".str_repeat('x', 5000), ['layout' => 'vee'], 422, ['If-Match' => '"1"']);
    }

    public function testACaseImportedWithoutTheFactsOfItsPicturesIsExportedAndImportedAgain(): void
    {
        $sha256 = str_repeat('a', 64);
        $entry = [
            'id' => '01900000-0000-7000-8000-0000000000e1', 'kind' => 'photograph', 'supersedes' => null, 'by' => 'x',
            'at' => '2026-11-25T10:00:00.000Z', 'data' => ['sha256' => $sha256],
            'slot' => ['place' => 'A1-E1', 'part' => 'valve', 'item' => 'photograph', 'index' => 'p'],
        ];
        $case = self::at($this->send('POST', '/api/cases/import?by=tests', self::document(['entries' => [$entry]]), 201), 'id')->text();
        $this->client->request('GET', "/api/cases/$case/case.json");
        $document = (string) $this->client->getResponse()->getContent();
        self::assertStringContainsString($sha256, $document);
        $this->send('POST', '/api/cases/import?by=tests&copy=1', $document, 201);
    }

    public function testAFaultOfTheProgramStandsInTheLogUnderTheIdThatIsShown(): void
    {
        self::database()->executeStatement('DROP TABLE queue_row');
        $problem = $this->send('GET', '/api/cases', null, 500);
        $fault = self::at($problem, 'fault')->text();
        self::assertMatchesRegularExpression('/^[0-9A-F]{8}$/', $fault);
        $logs = glob(\dirname(__DIR__, 2).'/var/log/test-*.log');
        self::assertIsArray($logs);
        $log = (string) file_get_contents((string) end($logs));
        self::assertStringContainsString('Fault '.$fault, $log);
        self::assertStringContainsString('queue_row', $log);
    }

    public function testAFullDiskAndAFolderThatMayNotBeWrittenToAreSaidInWords(): void
    {
        $pages = self::database()->fetchOne('PRAGMA page_count');
        self::assertIsNumeric($pages);
        self::database()->executeStatement('PRAGMA max_page_count = '.($pages + 3));
        $acknowledged = 0;
        do {
            $task = self::entry(
                'task', ['engine', 'schedule', 'task', 't'.$acknowledged], ['label' => str_repeat('long ', 39), 'kind' => 'work'],
            );
            $this->client->request('POST', "/api/cases/$this->case/entries", [], [], [
                'CONTENT_TYPE' => 'application/json', 'HTTP_ORIGIN' => 'http://localhost',
            ], json_encode($task, \JSON_THROW_ON_ERROR));
            $status = $this->client->getResponse()->getStatusCode();
            $acknowledged += $status === 201 ? 1 : 0;
        } while ($status === 201 && $acknowledged < 100);
        self::assertSame(507, $status);
        self::assertStringContainsString(
            'disk', self::at(json_decode((string) $this->client->getResponse()->getContent(), true), 'detail')->text(),
        );
        self::assertSame(0, self::database()->getTransactionNestingLevel(), 'what a worker goes on with');
        self::database()->executeStatement('PRAGMA max_page_count = 100000');
        self::assertCount(
            $acknowledged, self::at($this->send('GET', "/api/cases/$this->case"), 'entries')->items(), 'all that was acknowledged',
        );
        $this->send(
            'POST', "/api/cases/$this->case/entries",
            self::entry('task', ['engine', 'schedule', 'task', 'after'], ['label' => 'There is room again', 'kind' => 'work']), 201,
        );
    }
}
