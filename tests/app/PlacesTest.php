<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use Doctrine\DBAL\Connection;
use MuteTapper\Core\Document\Node;

/** What each place of the product reads, over HTTP. */
final class PlacesTest extends AppTestCase
{
    private const SAMPLE = '01900000-0000-7000-8000-00000000aaaa';

    private function import(): void
    {
        $this->send('POST', '/api/cases/import?by=tests', (string) file_get_contents(\dirname(__DIR__).'/core/standalone-case.json'), 201);
    }

    private static function database(): Connection
    {
        $connection = self::getContainer()->get('doctrine.dbal.default_connection');
        self::assertInstanceOf(Connection::class, $connection);

        return $connection;
    }

    public function testTheQueueSaysWhatCanBeDoneNow(): void
    {
        $this->newCase();
        $this->import();
        $rows = $this->send('GET', '/api/cases')['rows'];
        self::assertSame([2, 1], [self::at($rows, '0/number')->raw(), self::at($rows, '1/number')->raw()]);
        self::assertSame('Write down the story', self::at($rows, '1/next/words')->text());
        self::assertSame('Measure the spring of 3E', self::at($rows, '0/next/words')->text());
        self::assertSame(3, self::at($rows, '0/worst')->get('A2-E1')->raw());
        self::assertSame(['A2-E1'], self::at($rows, '0/failed')->words());
    }

    public function testTheQueueKeepsItsOrderAndNumbersAreNotUsedTwice(): void
    {
        foreach ([1, 2, 3] as $number) {
            $id = $this->newCase();
            self::assertSame($number, $this->send('GET', "/api/cases/$id")['number']);
        }
    }

    public function testCreatingTheSameCaseTwiceMakesOne(): void
    {
        $body = [
            'id' => '01900000-0000-7000-8000-00000000bbbb', 'name' => 'Twice', 'by' => 'tests',
            'engine' => ['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 4],
        ];
        $this->send('POST', '/api/cases', $body, 201);
        $this->send('POST', '/api/cases', $body, 201);
        self::assertCount(1, self::at($this->send('GET', '/api/cases'), 'rows')->items());
    }

    public function testAnEngineIsDrawnBeforeThereIsACase(): void
    {
        $planned = $this->send(
            'POST', '/api/engine/plan', ['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 4, 'intakeValves' => 3],
        );
        self::assertSame('Inline 4, 20 valves, bucket, solid flat', self::at($planned, 'engine/summary')->text());
        self::assertCount(20, self::at($planned, 'plan/cells')->items());
        $problem = $this->send('POST', '/api/engine/plan', ['layout' => 'vee', 'drive' => 'bucket', 'cylinders' => 5], 422);
        self::assertSame('/cylinders', $problem['pointer']);
        $this->send('POST', '/api/engine/plan', ['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 0], 422);
    }

    public function testTheCatalogueIsKeptByTheBrowserUntilItChanges(): void
    {
        $catalogue = $this->send('GET', '/api/catalogue');
        self::assertGreaterThan(45, \count(self::at($catalogue, 'signs')->items()));
        $this->client->request(
            'GET', '/api/catalogue', [], [], ['HTTP_IF_NONE_MATCH' => (string) $this->client->getResponse()->headers->get('ETag')],
        );
        self::assertResponseStatusCodeSame(304);
    }

    public function testAMarginComesWithItsRuleAndItsReasoning(): void
    {
        $this->import();
        $margin = $this->travelToBind('A2-E1');
        self::assertSame('0.005 ± 0.002 in', $margin->get('value')->get('shown')->text());
        self::assertSame('outside', $margin->get('verdict')->text());
        self::assertSame('at least 0.060 in', $margin->get('limitWords')->text());
        self::assertSame(
            '3E travel to bind: 0.005 plus or minus 0.002 in, limit at least 0.060 in, outside', $margin->get('spoken')->text(),
        );
        self::assertSame('Outside by 0.055 in.', $margin->get('sentence')->text());
        $trace = $this->send('GET', '/api/cases/'.self::SAMPLE.'/trace/A2-E1/travel_to_bind?index=outer');
        self::assertSame('installed height − net lift − bind height', $trace['formula']);
        self::assertSame(
            ['installed_height', 'net_lift', 'bind_height'],
            array_map(static fn ($input): string => $input->get('name')->text(), self::at($trace, 'inputs')->items()),
        );
        self::assertEqualsWithDelta(
            1.0,
            array_sum(array_map(static fn ($input): float => $input->get('share')->number(), self::at($trace, 'inputs')->items())), 1e-9,
        );
        $this->send('GET', '/api/cases/'.self::SAMPLE.'/trace/A1-E1/travel_to_bind?index=outer', null, 404);
    }

    private function travelToBind(string $place): Node
    {
        $margins = self::at($this->send('GET', '/api/cases/'.self::SAMPLE.'/sheets/springs'), 'margins')->items();
        $isIt = static fn (Node $one): bool => $place === $one->get('place')->text() && 'travel_to_bind' === $one->get('quantity')->text();

        return array_values(array_filter($margins, $isIt))[0] ?? self::fail('There is no such margin.');
    }

    public function testTheUnitsOfTheCaseAreTheUnitsOfTheAnswer(): void
    {
        $this->import();
        $this->send(
            'PUT', '/api/cases/'.self::SAMPLE.'/description',
            [
                'name' => 'Metric', 'story' => ['words' => 'x', 'failed' => []], 'settings' => ['units' => 'metric', 'school' => 'close'],
                'by' => 'tests',
            ],
            200, ['If-Match' => '"1"'],
        );
        $margin = $this->travelToBind('A2-E1');
        $shown = array_map(
            static fn (Node $node): string => $node->text(),
            [$margin->get('value')->get('shown'), $margin->get('limitWords'), $margin->get('school')],
        );
        self::assertSame(['0.13 ± 0.04 mm', 'at least 1.27 mm', 'close'], $shown);
        $stored = $this->send('POST', '/api/cases/'.self::SAMPLE.'/entries', self::height('45.7', 'A1-E1'), 201);
        self::assertSame('45.70', self::at($stored, 'entry/shown')->text());
    }

    public function testALedgerSpeaksInWordsAndPlaces(): void
    {
        $this->import();
        $ledger = $this->send('GET', '/api/cases/'.self::SAMPLE.'/ledger/installed_height_small');
        $first = self::at($ledger, 'for')->items()[0];
        self::assertCount(self::at($ledger, 'silent')->whole(0, 999), self::at($ledger, 'silentNames')->words());
        self::assertSame('installed height below the claim, 3E', $first->get('words')->text());
        self::assertSame('bench', $first->get('step')->text());
        self::assertStringStartsWith('×', $first->get('factor')->text());
        self::assertEqualsWithDelta(
            self::at($ledger, 'start')->number() + self::at($ledger, 'evidence')->number(), self::at($ledger, 'total')->number(), 1e-9,
        );
        $this->send('GET', '/api/cases/'.self::SAMPLE.'/ledger/nothing', null, 404);
        $this->send('GET', '/api/cases/'.self::SAMPLE.'/ledger/element_stuck_up', null, 404);
    }

    public function testTheRankingFollowsTheRevision(): void
    {
        $this->import();
        $before = $this->send('GET', '/api/cases/'.self::SAMPLE.'/ranking');
        $this->send(
            'POST', '/api/cases/'.self::SAMPLE.'/entries', self::entry('finding', ['A2-E1', 'pushrod', 'pushrod_bent'], ['severity' => 3]),
            201,
        );
        $after = $this->send('GET', '/api/cases/'.self::SAMPLE.'/ranking');
        self::assertSame(self::at($before, 'revision')->whole(0, 99) + 1, $after['revision']);
        self::assertSame(self::at($before, 'present')->whole(0, 99) + 1, $after['present']);
    }

    public function testCalculationsRunWithoutACase(): void
    {
        self::assertGreaterThan(10, \count($this->send('GET', '/api/calculations')));
        $input = [
            'pocket_diameter' => ['number' => 40, 'unit' => 'mm', 'half_width' => 0.03],
            'outside_diameter' => ['number' => 39.5, 'unit' => 'mm'],
        ];
        $trace = $this->send('POST', '/api/calculations/spring-in-pocket?units=metric', $input);
        self::assertSame('0.50 ± 0.03 mm', self::at($trace, 'result/shown')->text());
        self::assertSame(
            '/outside_diameter/number',
            $this->send(
                'POST', '/api/calculations/spring-in-pocket', ['outside_diameter' => ['number' => 'x', 'unit' => 'mm']] + $input, 422,
            )['pointer'],
        );
        $equal = ['number' => 1.8, 'unit' => 'in'];
        $load = ['number' => 100, 'unit' => 'lbf'];
        $problem = $this->send(
            'POST', '/api/calculations/spring-rate-from-two-loads',
            ['load_seat' => $load, 'load_open' => $load, 'height_seat' => $equal, 'height_open' => $equal], 422,
        );
        self::assertSame('The open height is not less than the seat height: one of the two test heights is wrong.', $problem['detail']);
        $this->send('POST', '/api/calculations/nothing', [], 404);
        $typed = ['pocket_diameter' => '40 ± 0,03', 'outside_diameter' => '39.5'];
        $trace = $this->send('POST', '/api/calculations/spring-in-pocket/typed?units=metric', $typed);
        self::assertSame('0.50 ± 0.03 mm', self::at($trace, 'result/shown')->text());
        self::assertSame('39.50 mm', self::at($trace, 'inputs/1/value/shown')->text(), 'What is exact has no ±.');
        $problem = $this->send('POST', '/api/calculations/spring-in-pocket/typed', ['pocket_diameter' => '40 lb'] + $typed, 422);
        self::assertSame('/pocket_diameter', $problem['pointer']);
        $this->send('POST', '/api/calculations/nothing/typed', [], 404);
    }

    public function testEveryDeedLeavesItsMarkInTheSameTransaction(): void
    {
        $case = $this->newCase();
        $this->send('POST', "/api/cases/$case/entries", self::height('1.800'), 201);
        $this->send('POST', "/api/cases/$case/entries", self::height('nonsense', 'A2-E1'), 422);
        self::assertSame(['create', 'entry reading'], self::database()->fetchFirstColumn('SELECT action FROM audit ORDER BY id'));
        self::assertCount(
            1, self::database()->fetchFirstColumn('SELECT hash FROM knowledge_version'), 'The knowledge that judged an entry is kept.',
        );
    }

    public function testTheDatabaseKeepsItsPromises(): void
    {
        $value = static fn (string $pragma): mixed => self::database()->executeQuery('PRAGMA '.$pragma)->fetchFirstColumn()[0];
        self::assertEquals(1, $value('foreign_keys'));
        self::assertEquals('wal', $value('journal_mode'));
        self::assertEquals(2, $value('synchronous'), 'full');
        self::assertGreaterThanOrEqual(1000, $value('busy_timeout'));
        $this->expectException(\Doctrine\DBAL\Exception\ForeignKeyConstraintViolationException::class);
        self::database()->executeStatement("INSERT INTO slot_head (slot_key, case_id, entry_id) VALUES ('x', 'no case', 'no entry')");
    }

    /** Each case of the demo is of another family, and the board says of it what a practitioner would. */
    public function testTheDemoLoadsThroughTheSameDoors(): void
    {
        [$status, $output] = self::command('demo:load');
        self::assertSame(0, $status, $output);
        $says = [
            'Fen Cup four, engine 12' => 'Spring lost its load (5 places) leads',
            'Quarry Mile V8, car 23' => 'Installed height too small (all exhausts) leads',
            'Larch Hill six, car 5' => 'Cam phase off, toward the piston (all exhausts) leads. Established: valve met the piston',
            'Ottermoor club eight, car 41' => 'Anti-wear chemistry too low leads',
            'Quarry Mile V8, car 31' => 'Heads or banks unlike (bank B) leads',
            'Reed Lake eight, boat 4' => 'Hydraulic element bleeds down (5I) leads',
            'Peat Track single, spare engine' => 'Not enough evidence',
        ];
        $said = $known = $heads = [];
        foreach (Node::root($this->send('GET', '/api/cases'))->get('rows')->items() as $row) {
            $ranking = Node::root($this->send('GET', '/api/cases/'.$row->get('id')->word().'/ranking'));
            $name = $row->get('name')->word();
            $known[$name] = $row->get('id')->word();
            $said[$name] = substr($ranking->get('sentence')->word(1000), 0, strlen($says[$name] ?? ''));
        }
        self::assertEquals($says, $said);
        $single = Node::root($this->send('GET', '/api/cases'))->get('rows')->items()[0]->get('id')->word();
        $checks = Node::root($this->send('GET', '/api/cases/'.$single.'/next-checks'))->get('checks')->items();
        self::assertSame(
            ['leak_down' => 'before', 'ignition_swap' => 'story', 'mirror' => 'teardown'],
            array_column(array_map(static fn (Node $one): array => [
                $one->get('check')->get('code')->word(), $one->get('step')->word(),
            ], $checks), 1, 0), 'what would tell most of an engine that only called, and where each is recorded',
        );
        foreach ($checks as $check) {
            foreach ([...$check->get('ifFound')->items(), ...$check->get('ifClear')->items()] as $entry) {
                $slot = [$entry->get('place')->word(), $entry->get('part')->word(), $entry->get('item')->word()];
                $result = self::entry('finding', $slot, ['severity' => $entry->get('severity')->whole(0, 4)]);
                $head = $heads[implode('/', $slot)] ?? null;
                $this->send('POST', '/api/cases/'.$single.'/entries', ($head === null ? [] : ['supersedes' => $head]) + $result, 201);
                $heads[implode('/', $slot)] = $result['id'];
            }
        }
        self::assertNotSame([], $heads, 'what is looked at is recorded by one key');
        $past = Node::root($this->send('GET', '/api/cases/'.$known['Quarry Mile V8, car 31'].'/past-cases'))->items();
        self::assertSame(
            [['Fen Cup four, engine 12', ['Spring lost its load']]],
            array_map(static fn (Node $one): array => [$one->get('name')->word(), $one->get('causes')->words()], $past),
        );
        self::assertStringContainsString('left out', self::command('demo:load')[1]);
        self::assertCount(count($says), Node::root($this->send('GET', '/api/cases'))->get('rows')->items());
    }
}
