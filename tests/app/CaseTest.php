<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\Core\Document\Node;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Filesystem\Filesystem;

final class CaseTest extends AppTestCase
{
    private static function sample(): string
    {
        return (string) file_get_contents(\dirname(__DIR__).'/core/standalone-case.json');
    }

    /** @param array<string, mixed> $changes */
    private static function changed(array $changes): string
    {
        $document = json_decode(self::sample(), true, 64, \JSON_THROW_ON_ERROR);
        self::assertIsArray($document);

        return json_encode($changes + $document, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION);
    }

    private function export(string $id): string
    {
        $this->client->request('GET', "/api/cases/$id/case.json");

        return (string) $this->client->getResponse()->getContent();
    }

    /** Law: export, then import in another shop, then export is the same document, byte for byte. */
    public function testExportAndImportGiveTheSameCase(): void
    {
        $case = $this->newCase();
        $first = self::height('1.800');
        $this->send('POST', "/api/cases/$case/entries", $first, 201);
        $second = ['supersedes' => $first['id'], 'reason' => 'mistyped'] + self::height('1.802');
        $this->send('POST', "/api/cases/$case/entries", $second, 201);
        $this->send(
            'POST', "/api/cases/$case/entries",
            ['kind' => 'withdrawal', 'supersedes' => $second['id'], 'reason' => 'undone', 'data' => []] + self::height(''), 201,
        );
        $this->send(
            'POST', "/api/cases/$case/entries",
            self::entry('reading', ['A1-E1', 'spring', 'load_seat', 'outer'], ['text' => '118.5', 'atText' => '1.800']), 201,
        );
        $this->send(
            'POST', "/api/cases/$case/entries",
            self::entry('claim', ['kind-E', 'spring_seat', 'claimed.installed_height'], ['standing' => 'unknown']), 201,
        );
        $this->send(
            'POST', "/api/cases/$case/entries",
            self::entry(
                'finding', ['A1-E1', 'spring', 'coils_bright'],
                ['severity' => 3, 'sureness' => 1.0, 'note' => 'Über die ganze Windung, “bright”.'],
            ),
            201,
        );
        $this->send(
            'PUT', "/api/cases/$case/call", ['causes' => ['not_listed'], 'words' => 'Unsure.', 'confidence' => 40, 'by' => 'tests'], 200,
            ['If-Match' => '"1"'],
        );
        $this->send('POST', "/api/cases/$case/call/signature", ['by' => 'tests'], 200, ['If-Match' => '"2"']);
        $document = $this->export($case);
        $ranking = $this->send('GET', "/api/cases/$case/ranking");

        self::ensureKernelShutdown();
        $this->setUp();
        $imported = $this->send('POST', '/api/cases/import?by=other+shop', $document, 201);
        self::assertSame($case, $imported['id']);
        self::assertSame($document, $this->export($case));
        self::assertSame(['causes' => $ranking['causes']], ['causes' => $this->send('GET', "/api/cases/$case/ranking")['causes']]);
    }

    public function testACaseThatIsHereIsRefusedOrCopied(): void
    {
        $this->send('POST', '/api/cases/import?by=tests', self::sample(), 201);
        $refusal = $this->send('POST', '/api/cases/import?by=tests', self::sample(), 409);
        self::assertSame('01900000-0000-7000-8000-00000000aaaa', $refusal['existing']);
        $copy = $this->send('POST', '/api/cases/import?by=tests&copy=1', self::sample(), 201);
        self::assertNotSame('01900000-0000-7000-8000-00000000aaaa', $copy['id']);
        self::assertIsString($copy['id']);
        self::assertStringContainsString('"copied_from": "01900000-0000-7000-8000-00000000aaaa"', $this->export($copy['id']));
    }

    /** @return iterable<string, array{string, int, string}> file, status, words */
    public static function badFiles(): iterable
    {
        yield 'another version' => [self::changed(['version' => 7]), 422, 'version 7'];
        yield 'another format' => [self::changed(['format' => 'shopping-list']), 422, 'not a case'];
        yield 'cut off' => [substr(self::sample(), 0, 900), 400, 'cut off'];
        yield 'a CSV in its place' => ["station,height\n1E,1.800\n", 400, 'not JSON'];
        yield 'empty' => ['', 400, 'empty'];
        yield 'a list' => ['[1,2]', 422, 'not a case'];
        yield 'no cylinders' => [
            self::changed(['engine' => ['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 0]]), 422, '/engine/cylinders',
        ];
        yield 'unknown member' => [self::changed(['surprise' => 1]), 422, 'surprise'];
        yield 'entry at a place that the engine lacks' => [
            self::changed(
                ['engine' => ['layout' => 'inline', 'drive' => 'pushrod', 'cylinders' => 1], 'story' => ['failed' => []]],
            ), 422, 'no place',
        ];
        yield 'entry that breaks its chain' => [
            self::changed(
                [
                    'entries' => [
                        [
                            'id' => '01900000-0000-7000-8000-000000000001', 'kind' => 'look',
                            'slot' => ['place' => 'A1-E1', 'part' => 'valve', 'item' => 'look'],
                            'supersedes' => '01900000-0000-7000-8000-000000000009', 'by' => 'x', 'at' => '2026-11-25T10:00:00Z',
                        ],
                    ],
                ],
            ),
            422, 'headed by nothing',
        ];
    }

    #[DataProvider('badFiles')]
    public function testABadFileIsRefusedInWordsAndNothingIsStored(string $file, int $status, string $words): void
    {
        $problem = $this->send('POST', '/api/cases/import?by=tests&file=bad.json', $file, $status);
        self::assertIsString($problem['detail']);
        self::assertStringContainsString($words, $problem['detail']);
        self::assertSame([], $this->send('GET', '/api/cases')['rows']);
    }

    public function testTheCommandLineWorksWithoutAServer(): void
    {
        $file = tempnam(sys_get_temp_dir(), 'case');
        self::assertIsString($file);
        file_put_contents($file, self::sample());
        [$status, $output] = self::command('case:check', ['file' => $file]);
        self::assertSame(0, $status, $output);
        [$status, $output] = self::command('case:assess', ['file' => $file]);
        self::assertSame(0, $status, $output);
        $assessed = json_decode($output, true, 64, \JSON_THROW_ON_ERROR);
        self::assertIsArray($assessed);
        self::assertSame(['installed_height_small'], self::at($assessed, 'ranking/leading')->words());
        [$status, $output] = self::command('case:import', ['file' => $file]);
        self::assertSame(0, $status, $output);
        [$status, $output] = self::command('case:export', ['case' => '1']);
        self::assertSame(0, $status);
        file_put_contents($file, $output);
        self::assertSame(0, self::command('case:check', ['file' => $file])[0]);
        file_put_contents($file, '{"format"');
        [$status, $output] = self::command('case:check', ['file' => $file]);
        self::assertSame(1, $status);
        self::assertStringContainsString('cut off', $output);
        self::assertSame(1, self::command('case:export', ['case' => '99'])[0]);
        file_put_contents(
            $file,
            '{"rated_lift": {"number": 0.6, "unit": "in"}, "thickness": {"number": 0.05, "unit": "in", "half_width": 0.001}}',
        );
        [$status, $output] = self::command('calc', ['name' => 'usable-lift', '--input' => $file]);
        self::assertSame(0, $status, $output);
        self::assertStringContainsString('0.550', $output);
        [$status, $output] = self::command('calc', ['--list' => true]);
        self::assertStringContainsString('travel-to-bind', $output);
        self::assertSame(1, self::command('calc', ['name' => 'nothing'])[0]);
        (new Filesystem())->remove($file);
    }

    public function testADocumentChangedMeanwhileIsNotOverwritten(): void
    {
        $case = $this->newCase();
        $story = static fn (string $words): array => [
            'name' => 'Made-up eight', 'story' => ['words' => $words, 'failed' => ['A1-E1']],
            'settings' => ['units' => 'inch', 'school' => 'usual'], 'by' => 'tests',
        ];
        $this->send('PUT', "/api/cases/$case/description", $story('mine'), 200, ['If-Match' => '"1"']);
        $refusal = $this->send('PUT', "/api/cases/$case/description", $story('theirs'), 412, ['If-Match' => '"1"']);
        self::assertSame(2, $refusal['version']);
        $this->send('PUT', "/api/cases/$case/description", $story('without a version'), 412);
        $view = $this->send('GET', "/api/cases/$case");
        self::assertIsArray($view['story']);
        self::assertSame('mine', self::at($view, 'story/answers/words')->text());
    }

    public function testAnEngineThatWouldOrphanEntriesIsRefusedWithTheList(): void
    {
        $case = $this->newCase();
        $this->send('POST', "/api/cases/$case/entries", self::height('1.800', 'B4-E1'), 201);
        $refusal = $this->send(
            'PUT', "/api/cases/$case/engine?by=tests", ['layout' => 'vee', 'drive' => 'pushrod', 'cylinders' => 6], 422,
            ['If-Match' => '"1"'],
        );
        self::assertSame(['B4-E1'], $refusal['places']);
        self::assertIsString($refusal['detail']);
        self::assertStringContainsString('8E', $refusal['detail']);
        $this->send(
            'PUT', "/api/cases/$case/engine?by=tests",
            ['layout' => 'vee', 'drive' => 'pushrod', 'cylinders' => 8, 'numbering' => ['A' => [1, 2, 3, 4], 'B' => [5, 6, 7, 8]]], 200,
            ['If-Match' => '"1"'],
        );
        $view = $this->send('GET', "/api/cases/$case");
        self::assertIsArray($view['stations']);
        self::assertIsArray($view['entries']);
        self::assertContains('8E', array_column($view['stations'], 'label'), 'B4 is now cylinder 8.');
        self::assertSame('B4-E1', self::at($view, 'entries/0/place')->text(), 'Renumbering never moves evidence.');
    }

    /**
     * @param array<string, mixed> $ranking
     *
     * @return array<string, string> of what is known of each sign
     */
    private static function marks(array $ranking): array
    {
        return array_map(static fn (Node $mark): string => $mark->text(), self::at($ranking, 'evidence')->members());
    }

    public function testASignedCallKeepsWhatWasShown(): void
    {
        $this->send('POST', '/api/cases/import?by=tests', self::sample(), 201);
        $id = '01900000-0000-7000-8000-00000000aaaa';
        $this->send('POST', "/api/cases/$id/call/signature", ['by' => 'tests'], 422, ['If-Match' => '"1"']);
        $this->send(
            'PUT', "/api/cases/$id/call",
            [
                'causes' => ['element_stuck_up'], 'words' => 'I think otherwise.', 'confidence' => 55, 'by' => 'tests',
                'firstEvent' => 'valve_held_open', 'open' => 'Oil report.',
                'ruledOut' => [['cause' => 'over_speed', 'why' => 'The log stays below 6,000.']],
            ], 200, ['If-Match' => '"1"'],
        );
        $signed = $this->send('POST', "/api/cases/$id/call/signature", ['by' => 'tests'], 200, ['If-Match' => '"2"']);
        $marks = self::marks($this->send('GET', "/api/cases/$id/ranking"));
        self::assertIsArray($signed['signed']);
        self::assertStringContainsString('Installed height too small (3E) leads', self::at($signed, 'signed/rankingSentence')->text());
        $this->send(
            'POST', "/api/cases/$id/entries",
            ['supersedes' => '01900000-0000-7000-8000-000000000005', 'reason' => 're-measured'] + self::height('1.800', 'A2-E1'), 201,
        );
        $after = $this->send('GET', "/api/cases/$id");
        self::assertIsArray($after['signed']);
        self::assertSame(self::at($signed, 'signed/rankingSentence')->text(), self::at($after, 'signed/rankingSentence')->text());
        $ranking = $this->send('GET', "/api/cases/$id/ranking");
        $changed = array_keys(array_diff_assoc($marks, self::marks($ranking)));
        self::assertContains('height_short', $changed, 'the mark of a sign changes with what is known of it');
        self::assertNotContains('coils_bright', $changed);
        self::assertTrue(self::at($after, 'signed/departs')->flag(), 'the ranking led with something else: both stand');
        self::assertSame('even odds', self::at($after, 'signed/sure')->text());
        self::assertIsString($ranking['sentence']);
        self::assertStringNotContainsString('Installed height too small leads', $ranking['sentence']);
    }

    /** A call that is signed anew supersedes the one before, which stays, as the report says too. */
    public function testASignedCallIsSupersededNotReplaced(): void
    {
        $this->send('POST', '/api/cases/import?by=tests', self::sample(), 201);
        $case = '/api/cases/01900000-0000-7000-8000-00000000aaaa';
        $call = [
            'causes' => ['installed_height_small'], 'words' => 'Too short.', 'confidence' => 85, 'by' => 'tests',
            'firstEvent' => 'coil_bind', 'ruledOut' => [['cause' => 'over_speed', 'why' => 'The log stays below 6,000.']],
            'open' => 'Who shimmed it.',
        ];
        $this->send('PUT', $case.'/call', $call, 200, ['If-Match' => '"1"']);
        $this->send('POST', $case.'/call/signature', ['by' => 'A'], 200, ['If-Match' => '"2"']);
        $changed = $this->send('PUT', $case.'/call', ['words' => 'Too short by 0.080.'] + $call, 200, ['If-Match' => '"2"']);
        self::assertFalse(self::at($changed, 'signed/stands')->flag());
        $this->send('POST', $case.'/call/signature', ['by' => 'B'], 200, ['If-Match' => '"3"']);

        $signed = Node::root(['calls' => $this->send('GET', $case.'/calls')])->get('calls')->items();
        self::assertSame(
            [['B', 'Too short by 0.080.', true, false], ['A', 'Too short.', false, false]], array_map(static fn (Node $one): array => [
                $one->get('by')->text(), $one->get('call')->get('words')->text(), $one->get('stands')->flag(), $one->get('departs')->flag(),
            ], $signed),
        );
        $this->client->request('GET', $case.'/report.html');
        $report = html_entity_decode((string) $this->client->getResponse()->getContent());
        foreach ([
            'It began with: Spring goes solid (coil bind)', '85 % sure (very likely)', 'Over-speed with healthy springs',
            'The log stays below 6,000.', 'Who shimmed it.', 'Superseded: signed by A', '“Too short.”',
        ] as $words) {
            self::assertStringContainsString($words, $report);
        }
        $export = $this->send('GET', $case.'/case.json');
        self::assertSame('coil_bind', self::at($export, 'call/firstEvent')->text());
        self::assertSame('coil_bind', self::at($export, 'signed_calls/1/content/chain/first')->text(), 'the chain is kept as it was shown');

        $unknown = ['ruledOut' => [['cause' => 'gremlins', 'why' => '']]] + $call;
        $refused = $this->send('PUT', $case.'/call', $unknown, 422, ['If-Match' => '"3"']);
        self::assertStringContainsString('there is no cause “gremlins”', self::at($refused, 'reason')->text());
        $both = ['ruledOut' => [['cause' => 'installed_height_small', 'why' => '']]] + $call;
        $refused = $this->send('PUT', $case.'/call', $both, 422, ['If-Match' => '"3"']);
        self::assertStringContainsString('is called and ruled out', self::at($refused, 'reason')->text());
    }

    public function testThePageOfCalculationsIsUpToDate(): void
    {
        self::assertStringEqualsFile(\dirname(__DIR__, 2).'/docs/calculations.md', self::command('app:document-calculations')[1]);
    }

    /** @return iterable<string, array{string, int}> files written by earlier editions of the program, and how many entries they hold */
    public static function earlierFiles(): iterable
    {
        yield 'a pushrod eight' => ['version-1-eight.json', 379];
        yield 'a bank unlike the other, with remedies and a rebuild begun' => ['version-1-remedied.json', 226];
        yield 'a case just begun' => ['version-1-single.json', 2];
    }

    /** A file that was valid opens as before, is assessed in full, and goes out again with every entry as it was. */
    #[DataProvider('earlierFiles')]
    public function testAFileOfAnEarlierEditionOpensAsBefore(string $name, int $entries): void
    {
        $file = __DIR__.'/files/'.$name;
        self::assertSame(0, self::command('case:check', ['file' => $file])[0]);
        self::assertSame(0, self::command('case:assess', ['file' => $file])[0]);
        $before = Node::root(json_decode((string) file_get_contents($file), true, 64, \JSON_THROW_ON_ERROR));
        $stored = $this->send('POST', '/api/cases/import?by=tests', $before->map(), 201);
        $after = Node::root($this->send('GET', '/api/cases/'.self::at($stored, 'id')->text().'/case.json'));
        self::assertCount($entries, $after->get('entries')->items());
        foreach (['engine', 'settings', 'story'] as $part) {
            self::assertEquals($before->get($part)->map(), $after->get($part)->map(), $part);
        }
        foreach ($before->get('entries')->items() as $i => $entry) {
            self::assertEquals($entry->map(), $after->get('entries')->items()[$i]->map());
        }
    }

    /** Whatever an engine, its settings and its entries may say is exported, checked and imported alike. */
    public function testWhatCanBeSaidTravels(): void
    {
        $document = Node::root(json_decode(
            (string) file_get_contents(\dirname(__DIR__).'/core/standalone-case.json'), true, 64, \JSON_THROW_ON_ERROR,
        ))->map();
        $angles = [0.0, 90.0, 180.0, 270.0, 360.0, 450.0, 540.0, 655.0];
        $document = array_replace_recursive($document, [
            'engine' => ['firing_order' => [1, 8, 4, 3, 6, 5, 7, 2], 'firing_angles' => $angles],
            'settings' => ['schools' => ['travel_to_bind' => 'close']],
        ]);
        $inches = static fn (float $number): array => ['value' => ['number' => $number, 'unit' => 'in', 'decimals' => 4]];
        $gauge = ['code' => 'dial_bore_gauge', 'label' => 'dial bore gauge', 'unit' => 'in', 'repeat' => 0.0002, 'stated' => '±0.0002 in'];
        $entries = [];
        foreach ([
            ['reading', ['A1-E1', 'guide', 'guide_bore', 'top.along'], $inches(0.3435) + ['gauge' => $gauge]],
            ['claim', ['kind-E', 'guide', 'maker.stem_clearance.most', null], $inches(0.0030) + ['standing' => 'known']],
            ['claim', ['kind-E', 'guide', 'claimed.stem_clearance.least', null], $inches(0.0015) + ['standing' => 'said']],
        ] as $i => [$kind, $slot, $data]) {
            $entries[] = [
                'id' => '01900000-0000-7000-8000-00000000fa0'.$i, 'kind' => $kind, 'by' => 'tests', 'at' => '2026-11-25T10:00:00.000Z',
                'slot' => array_combine(['place', 'part', 'item', 'index'], $slot), 'supersedes' => null, 'data' => $data,
            ];
        }
        $stored = $this->send('POST', '/api/cases/import?by=tests', ['entries' => $entries] + $document, 201);
        $this->client->request('GET', '/api/cases/'.self::at($stored, 'id')->text().'/case.json');
        $exported = (string) $this->client->getResponse()->getContent();
        $again = (string) tempnam(sys_get_temp_dir(), 'case');
        file_put_contents($again, $exported);
        self::assertSame(0, self::command('case:check', ['file' => $again])[0]);
        unlink($again);
        $read = Node::root(json_decode($exported, true, 64, \JSON_THROW_ON_ERROR));
        $number = static fn (Node $angle): float => $angle->number();
        self::assertSame($angles, array_map($number, $read->get('engine')->get('firing_angles')->items()));
        self::assertSame('close', $read->get('settings')->get('schools')->get('travel_to_bind')->text());
        self::assertCount(3, $read->get('entries')->items());
    }

    /** What scripts read of an assessment is written down, and is what they get. */
    public function testTheSchemaOfAnAssessmentIsUpToDateAndHolds(): void
    {
        $path = \dirname(__DIR__, 2).'/docs/formats/assessment.schema.json';
        [$status, $schema] = self::command('app:openapi', ['--schema' => 'AssessmentView']);
        self::assertSame(0, $status);
        self::assertStringEqualsFile($path, $schema, 'Run: bin/console app:openapi --schema AssessmentView > '.$path);
        $file = \dirname(__DIR__).'/core/standalone-case.json';
        $assessed = json_decode(self::command('case:assess', ['file' => $file])[1], false, 64, \JSON_THROW_ON_ERROR);
        $validator = new Validator();
        $result = $validator->validate($assessed, $schema);
        $error = $result->error();
        self::assertTrue($result->isValid(), $error === null ? '' : (string) json_encode((new ErrorFormatter())->format($error)));
        self::assertInstanceOf(\stdClass::class, $assessed);
        $assessed->ranking = 'none';
        self::assertFalse($validator->validate($assessed, $schema)->isValid());
        self::assertSame(2, self::command('app:openapi', ['--schema' => 'Horn'])[0]);
    }

    public function testTheOpenApiDescriptionIsUpToDate(): void
    {
        [$status, $output] = self::command('app:openapi');
        self::assertSame(0, $status);
        self::assertSame(
            json_decode((string) file_get_contents(\dirname(__DIR__, 2).'/docs/openapi.json'), true), json_decode($output, true),
            'Run: bin/console app:openapi > docs/openapi.json',
        );
    }
}
