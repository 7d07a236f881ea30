<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\App\Photograph\PhotographStore;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\RunLog\AnalyseLog;
use MuteTapper\App\RunLog\AnalyseLogHandler;
use MuteTapper\App\Schedule\AnswerOfLaboratory;
use MuteTapper\App\Schedule\AnswerOfLaboratoryHandler;
use MuteTapper\App\Simulated\BenchCamera;
use MuteTapper\App\Simulated\DataLogger;
use MuteTapper\App\Simulated\PartPicture;
use MuteTapper\Core\Document\Node;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Cache\Adapter\ArrayAdapter;
use Symfony\Component\Process\Process;

/** Story, tests before teardown, teardown, photographs, logs and days, over HTTP. */
final class WorkTest extends AppTestCase
{
    private string $case;

    protected function setUp(): void
    {
        parent::setUp();
        $this->case = '/api/cases/'.$this->newCase();
    }

    /**
     * @param array{string, string, string, 3?: string} $slot
     * @param array<string, mixed> $data
     *
     * @return array<string, mixed>
     */
    private function record(string $kind, array $slot, array $data, int $status = 201): array
    {
        return $this->send('POST', $this->case.'/entries', self::entry($kind, $slot, $data), $status);
    }

    /** @return iterable<string, array{string, array{string, string, string, 3?: string}, array<string, mixed>}> */
    public static function entries(): iterable
    {
        yield 'compression' => ['reading', ['A1', 'chamber', 'compression'], ['text' => '165']];
        yield 'a pull' => ['reading', ['A1-E1', 'valve', 'pull', '1'], ['text' => '118 lb']];
        yield 'head temperature' => ['reading', ['engine', 'valve', 'lash_temperature'], ['text' => '21 °C']];
        yield 'a measured lobe' => [
            'lift', ['kind-I', 'lobe', 'lift'],
            ['wheel' => 'cam', 'liftUnit' => 'mm', 'points' => array_map(
                static fn (int $at): array => [$at, round(9.5 * max(0.0, cos(deg2rad($at * 1.3))) ** 3, 3)], range(-72, 72, 3),
            )],
        ];
        yield 'a rig' => ['answer', ['engine', 'piston_relief', 'rig_lash'], ['choice' => 'running']];
        yield 'an answer' => ['answer', ['A2', 'chamber', 'hiss'], ['choice' => 'exhaust']];
        yield 'two answers' => ['answer', ['A1', 'chamber', 'hiss'], ['choice' => 'exhaust', 'also' => ['filler']]];
        yield 'what was fitted' => ['claim', ['kind-E', 'springs', 'claimed.words'], ['words' => 'dual, 1.55', 'standing' => 'known']];
        yield 'the oil' => ['claim', ['engine', 'oil', 'claimed.oil_phosphorus'], ['text' => '1100 ppm', 'standing' => 'said']];
        yield 'an event' => [
            'event', ['engine', 'timeline', 'event', 'e1'],
            ['what' => 'failure', 'date' => '2026-05-01', 'amount' => 31.5, 'unit' => 'h', 'sameSymptom' => true],
        ];
        yield 'an event of an earlier case' => [
            'event', ['engine', 'timeline', 'event', 'e0'],
            ['what' => 'failure', 'earlier' => ['case' => '01a00000-0000-7000-8000-000000000001', 'name' => 'Before', 'parts' => [
                ['place' => 'A1-E1', 'part' => 'spring', 'index' => 'outer', 'tag' => 's-1'],
            ]]],
        ];
        yield 'a carried part' => ['carry', ['engine', 'timeline', 'carry.rockers', 'e1'], ['state' => 'carried']];
        yield 'a step' => ['step', ['engine', 'plan', 'step.outside'], ['state' => 'done']];
        yield 'an order' => ['order', ['engine', 'plan', 'order'], ['codes' => ['head_off']]];
        yield 'pieces' => ['pieces', ['A1-E1', 'locks', 'pieces'], ['expected' => 2, 'found' => 1]];
        yield 'a move' => ['custody', ['A1-E1', 'spring', 'custody'], ['where' => 'machinist', 'whom' => 'Bench two']];
        yield 'a task' => [
            'task', ['engine', 'schedule', 'task', 't1'], ['label' => 'Soak', 'kind' => 'work', 'leastDays' => 1, 'mostDays' => 2],
        ];
        yield 'a promise' => ['promise', ['engine', 'schedule', 'promise'], ['date' => '2026-12-24']];
        yield 'a cut in the chain' => [
            'chain', ['engine', 'chain', 'cut', 'float.seat_hammer'],
            ['edit' => 'cut', 'event' => 'float', 'to' => 'seat_hammer', 'words' => 'old wear'],
        ];
        yield 'an event of the chain' => [
            'chain', ['engine', 'chain', 'event', 'own-1'],
            ['edit' => 'event', 'event' => 'own-1', 'words' => 'crown struck', 'known' => 'seen', 'place' => 'A1-E1'],
        ];
        yield 'a report given out' => ['issue', ['engine', 'report', 'issue', '1'], ['whom' => 'owner']];
        yield 'a remedy' => ['remedy', ['engine', 'remedy', 'alternative', 'r1'], [
            'name' => 'Shim the exhausts', 'remedyKind' => 'trial', 'hours' => 2.5,
            'change' => [['places' => ['A1-E1', 'A2-E1'], 'name' => 'shim_stack', 'by' => ['number' => 0.03, 'unit' => 'in']]],
        ]];
        yield 'a limiter that cuts the fuel' => ['remedy', ['engine', 'remedy', 'alternative', 'r2'], [
            'name' => 'Lower limiter', 'remedyKind' => 'containment', 'until' => 'springs',
            'change' => [
                ['places' => ['engine'], 'name' => 'highest_speed', 'kind' => 'fuel', 'to' => ['number' => 6800, 'unit' => '1/min']],
            ],
        ]];
        yield 'what is taken' => ['taken', ['engine', 'remedy', 'taken'], ['remedies' => ['r1']]];
        yield 'a part that stays' => ['reuse', ['A1-E1', 'valve', 'reuse'], ['decision' => 'keep', 'words' => 'looked at, sound']];
        yield 'all others of a part' => ['reuse', ['engine', 'spring', 'reuse'], ['decision' => 'replace']];
        yield 'passes' => ['tightening', ['engine', 'assembly', 'tightening', 'head'], [
            'passes' => [['figure' => 30, 'unit' => 'N·m'], ['figure' => 90, 'unit' => '°']], 'bolts' => 'once',
            'source' => 'manual, page 12',
        ]];
        yield 'a line ticked' => ['line', ['A1-E1', 'assembly', 'line', 'installed_height'], ['state' => 'ticked']];
        yield 'a line that has a choice' => [
            'line', ['A2-E1', 'assembly', 'line', 'seal_kind'], ['state' => 'ticked', 'choice' => 'new seals always'],
        ];
        yield 'a line left out' => ['line', ['engine', 'assembly', 'line', 'phase.cam'], ['state' => 'left_out', 'note' => 'no wheel']];
        yield 'a height as built' => ['reading', ['A1-E1', 'spring_seat', 'installed_height', 'built-rebuild'], ['text' => '1.690']];
        yield 'a pull when it came back' => ['reading', ['A1-E1', 'valve', 'pull', 'built-2026-12-10.1'], ['text' => '117 lb']];
        yield 'how it came back' => [
            'outcome', ['engine', 'afterwards', 'outcome', '2026-12-10'], ['amount' => 10, 'unit' => 'h', 'symptom' => 'gone'],
        ];
        yield 'a drawing' => [
            'annotation', ['A1-E1', 'spring', 'annotation', 'a1'],
            ['sha256' => str_repeat('b', 64), 'shape' => 'scale', 'points' => [[0, 0], [150, 0]], 'text' => '0.250'],
        ];
    }

    /** Every kind is taken, exported, imported elsewhere as a copy, and exported again with the same content. */
    public function testEverythingTravelsWithTheCase(): void
    {
        foreach (self::entries() as [$kind, $slot, $data]) {
            $this->record($kind, $slot, $data);
        }
        $this->client->request('GET', $this->case.'/case.json');
        $text = (string) $this->client->getResponse()->getContent();
        $export = $this->send('GET', $this->case.'/case.json');
        $copy = $this->send('POST', '/api/cases/import?copy=1&by=tests', $text, 201);
        $again = $this->send('GET', '/api/cases/'.self::at($copy, 'id')->text().'/case.json');
        $content = static fn (array $document): array => array_map(
            static fn (Node $entry): array => [$entry->get('kind')->text(), $entry->get('slot')->raw(), $entry->maybe('data')?->raw()],
            Node::root($document)->get('entries')->items(),
        );
        self::assertSame($content($export), $content($again));
        self::assertCount(\count(iterator_to_array(self::entries())), $content($again));
    }

    /** @return iterable<string, array{string, array{string, string, string, 3?: string}, array<string, mixed>, string}> */
    public static function bad(): iterable
    {
        yield 'compression of a station' => [
            'reading', ['A1-E1', 'chamber', 'compression'], ['text' => '165'], 'each cylinder has its own compression',
        ];
        yield 'no such answer' => [
            'answer', ['A2', 'chamber', 'hiss'], ['choice' => 'in the glovebox'], 'is no answer to “Where it hisses”',
        ];
        yield 'two answers of which one denies the other' => [
            'answer', ['A2', 'chamber', 'hiss'], ['choice' => 'exhaust', 'also' => ['nowhere']], '“nowhere” is an answer by itself',
        ];
        yield 'two answers where one can be true' => [
            'answer', ['engine', 'running', 'noise'], ['choice' => 'seconds', 'also' => ['warm']], 'is an answer by itself',
        ];
        yield 'asked of another place' => ['answer', ['A1-E1', 'chamber', 'hiss'], ['choice' => 'exhaust'], 'asked of each cylinder'];
        yield 'no such question' => ['answer', ['engine', 'running', 'weather'], ['choice' => 'wet'], 'there is no question “weather”'];
        yield 'rockers of a bucket engine' => ['claim', ['engine', 'turbo', 'claimed.words'], ['words' => 'big'], 'that could be claimed'];
        yield 'a date that is none' => [
            'event', ['engine', 'timeline', 'event', 'e'], ['what' => 'run', 'date' => 'in May'], '“in May” is not a date',
        ];
        yield 'left out without a reason' => ['step', ['engine', 'plan', 'step.outside'], ['state' => 'skipped'], 'needs its reason'];
        yield 'away without a name' => [
            'custody', ['A1-E1', 'spring', 'custody'], ['where' => 'laboratory'], 'needs the name of who has it',
        ];
        yield 'a part destroyed with one party told' => [
            'custody', ['A1-E1', 'spring', 'custody'],
            ['where' => 'laboratory', 'whom' => 'Made-up lab', 'destroyed' => true, 'invited' => ['owner']], 'both parties are invited',
        ];
        yield 'a scale in pounds' => [
            'annotation', ['A1-E1', 'spring', 'annotation', 'a'],
            ['sha256' => str_repeat('b', 64), 'shape' => 'scale', 'points' => [[0, 0], [9, 0]], 'text' => '5 lb'],
            '“lb” is not a unit of length',
        ];
        yield 'a drawing of one point' => [
            'annotation', ['A1-E1', 'spring', 'annotation', 'a'],
            ['sha256' => str_repeat('b', 64), 'shape' => 'length', 'points' => [[0, 0]]], 'takes 2 points; 1 were given',
        ];
        yield 'an element of unknown state' => ['finding', ['A1-E1', 'follower', 'element_stuck'], ['severity' => 2], 'filled or drained'];
        yield 'a photograph of no sign' => [
            'photograph', ['A1-E1', 'spring', 'photograph', 'x'], ['sha256' => str_repeat('c', 64)], 'has not been received',
        ];
        yield 'a remedy of a value that is none' => [
            'remedy', ['engine', 'remedy', 'alternative', 'r'],
            [
                'name' => 'x', 'remedyKind' => 'cure',
                'change' => [['places' => ['A1-E1'], 'name' => 'shine', 'to' => ['number' => 1, 'unit' => '1']]],
            ],
            'there is no value “shine”',
        ];
        yield 'what only holds, for ever' => [
            'remedy', ['engine', 'remedy', 'alternative', 'r'], ['name' => 'x', 'remedyKind' => 'containment'], 'what ends it',
        ];
        yield 'a part that stays for no reason' => ['reuse', ['A1-E1', 'valve', 'reuse'], ['decision' => 'keep'], 'needs the reason'];
        yield 'passes of nobody' => [
            'tightening', ['engine', 'assembly', 'tightening', 'head'],
            ['passes' => [['figure' => 30, 'unit' => 'N·m']], 'bolts' => 'once', 'source' => ''], 'say where the figures stand',
        ];
        yield 'passes of a joint that is none' => [
            'tightening', ['engine', 'assembly', 'tightening', 'wings'],
            ['passes' => [['figure' => 30, 'unit' => 'N·m']], 'bolts' => 'once', 'source' => 'x'], 'no tightening is kept at',
        ];
        yield 'a return on no day' => [
            'outcome', ['engine', 'afterwards', 'outcome', 'tuesday'], ['amount' => 1, 'symptom' => 'gone'], 'no outcome is kept at',
        ];
        yield 'a height as built under no index of it' => [
            'reading', ['A1-E1', 'spring_seat', 'installed_height', 'built-rebuild.inner'], ['text' => '1.7'], 'has no index',
        ];
        yield 'half a lock' => ['pieces', ['A1-E1', 'locks', 'pieces'], ['expected' => 2, 'found' => 0.5], 'found'];
    }

    /**
     * @param array{string, string, string, 3?: string} $slot
     * @param array<string, mixed> $data
     */
    #[DataProvider('bad')]
    public function testBadEntriesAreRefusedInWordsAndNotStored(string $kind, array $slot, array $data, string $words): void
    {
        $problem = $this->record($kind, $slot, $data, 422);
        self::assertStringContainsString($words, self::at($problem, 'detail')->text());
        self::assertSame([], $this->send('GET', $this->case)['entries']);
    }

    public function testTheNextPullAndItsMiddleValue(): void
    {
        foreach (['A1-I1' => 118, 'A1-E1' => 117, 'A2-I1' => 119, 'A2-E1' => 84] as $place => $load) {
            $this->record('reading', [$place, 'valve', 'pull', '1'], ['text' => (string) $load]);
            $this->record('reading', [$place, 'valve', 'pull', '2'], ['text' => (string) ($load + 1)]);
        }
        $order = $this->send('GET', $this->case.'/lash-order');
        $pulls = $this->send('GET', $this->case.'/sheets/pulls');
        self::assertSame('B1-I1', $order['nextPull'], 'by number, since the firing order is not known');
        self::assertFalse($order['fromFiringOrder']);
        $verdicts = [];
        foreach (self::at($pulls, 'margins')->items() as $margin) {
            if ('pull_from_middle' === $margin->get('quantity')->text()) {
                $verdicts[$margin->get('place')->text()] = $margin->get('verdict')->text();
            }
        }
        self::assertSame(['inside', 'outside', 'not_measured'], [$verdicts['A1-I1'], $verdicts['A2-E1'], $verdicts['A3-E1']]);
    }

    public function testThePlanSaysWhatIsMissingAndTakesAnotherOrder(): void
    {
        $plan = $this->send('GET', $this->case.'/teardown');
        self::assertSame('outside', $plan['next']);
        $codes = array_map(static fn (Node $step): string => $step->get('code')->text(), self::at($plan, 'steps')->items());
        $this->record('order', ['engine', 'plan', 'order'], ['codes' => ['rockers_off', ...array_diff($codes, ['rockers_off'])]]);
        $moved = self::at($this->send('GET', $this->case.'/teardown'), 'steps')->items()[0];
        self::assertSame('rockers_off', $moved->get('code')->text());
        self::assertNotSame([], $moved->get('tooEarlyFor')->words());
        self::assertSame('0 of 16, missing at 1E, 1I, 3E, 3I and 12 more', $moved->get('recordFirst')->items()[0]->get('known')->text());
    }

    public function testEveryMoveOfAPartStaysOnRecord(): void
    {
        $first = $this->record('custody', ['B2-E1', 'spring', 'custody'], ['where' => 'sealed', 'note' => 'bag 3']);
        $this->send(
            'POST', $this->case.'/entries',
            self::entry(
                'custody', ['B2-E1', 'spring', 'custody'], [
                    'where' => 'laboratory', 'whom' => 'Made-up lab', 'seal' => 'S-119', 'why' => 'origin of the break',
                    'until' => '2026-12-02', 'destroyed' => true, 'invited' => ['owner, comes', 'Made-up springs, sends nobody'],
                ],
                ['supersedes' => self::at($first, 'entry/id')->text(), 'reason' => 'seen again'],
            ),
            201,
        );
        $moves = array_map(
            static fn (Node $move): array => [
                $move->get('label')->text(), $move->get('whereWords')->text(), $move->get('whom')->text(), $move->get('now')->flag(),
                $move->get('fromWords')->text(), $move->get('seal')->text(), $move->get('until')->raw(), $move->get('invited')->words(),
            ],
            Node::root($this->send('GET', $this->case.'/custody'))->items(),
        );
        self::assertSame([
            [
                '4E spring', 'at the laboratory', 'Made-up lab', true, 'sealed in a bag', 'S-119', '2026-12-02',
                ['owner, comes', 'Made-up springs, sends nobody'],
            ], ['4E spring', 'sealed in a bag', '', false, '', '', null, []],
        ], $moves);
    }

    /** The code on a tag is read back by a program that knows nothing of this one. */
    public function testTagsCarryTheWayToTheirStation(): void
    {
        $pdf = $this->paper($this->case, 'tags', ['stations' => ['B2-E1', 'B2-E1'], 'parts' => ['spring', 'valve']]);
        self::assertSame(200, $this->client->getResponse()->getStatusCode());
        $file = tempnam(sys_get_temp_dir(), 'tags');
        file_put_contents($file, $pdf);
        $text = (string) shell_exec('pdftotext -layout '.escapeshellarg($file).' - ');
        shell_exec(sprintf('pdftoppm -r 200 -png %1$s %1$s', escapeshellarg($file)));
        $code = (string) shell_exec(sprintf('zbarimg -q --raw %s-1.png 2>/dev/null', escapeshellarg($file)));
        foreach ([$file, $file.'-1.png'] as $made) {
            unlink($made);
        }
        self::assertStringContainsString('4E', $text);
        self::assertStringContainsString('spring', $text);
        $lines = array_unique(array_filter(explode("\n", $code), static fn (string $line): bool => '' !== $line));
        self::assertSame(['http://localhost'.str_replace('/api/cases', '/case', $this->case).'/teardown?at=B2-E1'], array_values($lines));
        $this->send('POST', $this->case.'/papers', ['kind' => 'tags', 'options' => ['stations' => ['Z9-E1']]], 404);
    }

    /** @return array<mixed> */
    private function upload(string $content, string $name, int $status): array
    {
        return $this->send(
            'POST', $this->case.'/logs', $content, $status,
            ['Content-Type' => 'application/octet-stream', 'X-File-Name' => rawurlencode($name)],
        );
    }

    public function testALogIsReadInAStreamAndItsEventsAreFound(): void
    {
        mt_srand(5);
        $file = $this->upload(implode('', [...(new DataLogger())->run(120, 50, 7600.0, [31.0], 90.0)]), 'run 4.csv', 201);
        self::assertSame([], $file['doubts']);
        $thresholds = ['over_speed' => 7650, 'limiter' => 7600, 'oil_per_thousand' => 0.69, 'oil_temperature' => 130];
        $sha = self::at($file, 'sha256')->text();
        $analysis = $this->send('POST', "/api/logs/$sha/analyses", ['format' => $file['format'], 'thresholds' => $thresholds], 202);
        self::assertSame('waiting', $analysis['state']);
        $handler = self::getContainer()->get(AnalyseLogHandler::class);
        self::assertInstanceOf(AnalyseLogHandler::class, $handler);
        $id = self::at($analysis, 'id')->text();
        $handler(new AnalyseLog($id));
        $ready = $this->send('GET', '/api/log-analyses/'.$id);
        self::assertSame(['ready', 6000], [$ready['state'], $ready['rows']]);
        $totals = array_column(
            array_map(
                static fn (Node $one): array => [$one->get('kind')->text(), $one->get('count')->whole(0, 99)],
                self::at($ready, 'result/totals')->items(),
            ),
            1, 0,
        );
        self::assertSame(1, $totals['over_speed'], 'the missed shift');
        self::assertGreaterThanOrEqual(1, $totals['oil_low'], 'the pressure that falls away');
        $window = $this->send('GET', "/api/log-analyses/$id/window?from=30.9&to=31.5");
        self::assertGreaterThan(20, \count($window), 'close up, every row is there');
        self::assertGreaterThan(
            8000,
            max(
                0.0,
                ...array_map(
                    static fn (Node $one): float => $one->get('ranges')->get('speed')->items()[1]->number(), Node::root($window)->items(),
                ),
            ),
        );
        $this->record(
            'log', ['engine', 'timeline', 'log', substr($sha, 0, 16)],
            ['sha256' => $sha, 'fileName' => 'run 4.csv', 'format' => $file['format'], 'thresholds' => $thresholds],
        );
        self::assertSame('log', self::at($this->send('GET', $this->case), 'entries/0/kind')->text());
    }

    public function testABadLineEndsTheReadingWithItsNumber(): void
    {
        $file = $this->upload("Time (s),rpm\n0,900\n1,910\n0.5,920\n", 'backwards.csv', 201);
        $analysis = $this->send(
            'POST', '/api/logs/'.self::at($file, 'sha256')->text().'/analyses',
            [
                'format' => $file['format'],
                'thresholds' => ['over_speed' => 7000, 'limiter' => null, 'oil_per_thousand' => 0.7, 'oil_temperature' => 130],
            ],
            202,
        );
        $handler = self::getContainer()->get(AnalyseLogHandler::class);
        self::assertInstanceOf(AnalyseLogHandler::class, $handler);
        $handler(new AnalyseLog(self::at($analysis, 'id')->text()));
        $failed = $this->send('GET', '/api/log-analyses/'.self::at($analysis, 'id')->text());
        self::assertSame('failed', $failed['state']);
        self::assertStringContainsString('line 4: time runs backwards', self::at($failed, 'message')->text());
        $this->send('GET', '/api/log-analyses/'.self::at($analysis, 'id')->text().'/window?from=0&to=1', null, 404);
    }

    /** @return iterable<string, array{string, string, string}> log, state, words */
    public static function endlessLogs(): iterable
    {
        yield 'times without end' => ["time_s,rpm\n1,1e308\n1e308,1\n2e308,1\n", 'failed', 'line 2'];
        yield 'a speed without end' => ["time_s,rpm\n1,900\n2,1e999\n", 'failed', 'beyond anything that is measured'];
        yield 'one row' => ["time_s,rpm\n1,900\n", 'ready', ''];
        yield 'times far apart' => ["time_s,rpm\n0,900\n999999999,910\n", 'ready', ''];
        yield '100,000 columns' => [
            'time_s,rpm,'.implode(
                ',', range(1, 100_000),
            )."\n1,900".str_repeat(',1', 100_000)."\n2,910".str_repeat(',1', 100_000)."\n", 'ready', '',
        ];
    }

    #[DataProvider('endlessLogs')]
    public function testNoLogKeepsItsReaderForEver(string $log, string $state, string $words): void
    {
        $this->client->request('POST', $this->case.'/logs', [], [], [
            'CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ORIGIN' => 'http://localhost',
        ], $log);
        $kept = json_decode((string) $this->client->getResponse()->getContent(), true);
        if ($this->client->getResponse()->getStatusCode() === 422) {
            self::assertNotSame('', self::at($kept, 'detail')->text(), 'refused in words at once');

            return;
        }
        $format = ['delimiter' => ',', 'decimal' => '.', 'header_lines' => 1, 'columns' => [
            ['index' => 0, 'channel' => 'time', 'unit' => 's'], ['index' => 1, 'channel' => 'speed', 'unit' => '1/min'],
        ]] + self::at($kept, 'format')->map();
        $analysis = $this->send(
            'POST', '/api/logs/'.self::at($kept, 'sha256')->text().'/analyses',
            ['format' => $format, 'thresholds' => self::at($kept, 'thresholds')->map()], 202,
        );
        $handler = self::getContainer()->get(AnalyseLogHandler::class);
        self::assertInstanceOf(AnalyseLogHandler::class, $handler);
        $handler(new AnalyseLog(self::at($analysis, 'id')->text()));
        $read = $this->send('GET', '/api/log-analyses/'.self::at($analysis, 'id')->text());
        self::assertSame($state, $read['state']);
        self::assertStringContainsString($words, self::at($read, 'message')->raw() === null ? '' : self::at($read, 'message')->text());
        if ($state === 'ready') {
            $this->send('GET', '/api/log-analyses/'.self::at($analysis, 'id')->text().'/window?from=0&to=1e300');
        }
    }

    public function testWhatIsNotALogIsRefused(): void
    {
        self::assertStringStartsWith(
            'This is not a log',
            self::at($this->upload("\x89PNG\r\n\x1a\n".random_bytes(200), 'photo.csv', 422), 'detail')->text(),
        );
        self::assertStringContainsString('is empty', self::at($this->upload('', 'nothing.csv', 400), 'detail')->text());
        $file = $this->upload("time,rpm\n0,900\n1,910\n", 'unitless.csv', 201);
        self::assertStringContainsString('names no unit', self::at($file, 'doubts/0')->text());
        $this->send(
            'POST', '/api/logs/'.self::at($file, 'sha256')->text().'/analyses',
            ['format' => $file['format'], 'thresholds' => ['over_speed' => 7000, 'oil_per_thousand' => 0.7, 'oil_temperature' => 130]], 422,
        );
    }

    public function testACancelledReadingStops(): void
    {
        $file = $this->upload("Time (s),rpm\n0,900\n1,910\n", 'cancelled.csv', 201);
        $analysis = $this->send(
            'POST', '/api/logs/'.self::at($file, 'sha256')->text().'/analyses',
            [
                'format' => $file['format'],
                'thresholds' => ['over_speed' => 7001, 'limiter' => null, 'oil_per_thousand' => 0.7, 'oil_temperature' => 130],
            ],
            202,
        );
        $id = self::at($analysis, 'id')->text();
        self::assertSame('cancelled', $this->send('DELETE', '/api/log-analyses/'.$id)['state']);
        $handler = self::getContainer()->get(AnalyseLogHandler::class);
        self::assertInstanceOf(AnalyseLogHandler::class, $handler);
        $handler(new AnalyseLog($id));
        self::assertSame('cancelled', $this->send('GET', '/api/log-analyses/'.$id)['state']);
    }

    public function testALaboratoryAnswersOnceAndSaysThatItIsSimulated(): void
    {
        $task = '01900000-0000-7000-8000-000000000001';
        $this->send(
            'POST', $this->case.'/laboratory-requests',
            [
                'id' => '01900000-0000-7000-8000-000000000002', 'task' => $task, 'laboratory' => 'oil', 'request' => 'iron, fuel',
                'by' => 'tests',
            ],
            202,
        );
        $schedule = $this->send('GET', $this->case.'/schedule');
        self::assertSame('oil laboratory (simulated): iron, fuel', $schedule['waitsFor']);
        self::assertSame([3, 4], [$schedule['leastDays'], $schedule['mostDays']]);
        $handler = self::getContainer()->get(AnswerOfLaboratoryHandler::class);
        self::assertInstanceOf(AnswerOfLaboratoryHandler::class, $handler);
        $work = new AnswerOfLaboratory(basename($this->case), $task, 'oil', 'iron, fuel');
        $handler($work);
        $handler($work);
        $document = $this->send('GET', $this->case.'/case.json');
        $reports = array_values(
            array_filter(
                self::at($document, 'entries')->items(), static fn (Node $entry): bool => 'report' === $entry->get('kind')->text(),
            ),
        );
        self::assertCount(1, $reports);
        self::assertTrue($reports[0]->get('data')->get('simulated')->flag());
        self::assertSame('done', self::at($this->send('GET', $this->case.'/schedule'), 'tasks/0/readiness')->text());
        $this->send(
            'POST', $this->case.'/laboratory-requests',
            ['id' => '01900000-0000-7000-8000-000000000003', 'task' => 'x', 'laboratory' => 'astrology', 'request' => 'x', 'by' => 'tests'],
            404,
        );
    }

    public function testEnginesAreSavedOnceByName(): void
    {
        $engine = ['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 4, 'firingOrder' => [1, 3, 4, 2]];
        $this->send('POST', '/api/engines', ['name' => 'Made-up four', 'engine' => $engine, 'by' => 'tests'], 201);
        self::assertStringContainsString(
            'already',
            self::at(
                $this->send('POST', '/api/engines', ['name' => 'Made-up four', 'engine' => $engine, 'by' => 'tests'], 409), 'detail',
            )->text(),
        );
        $this->send(
            'POST', '/api/engines',
            [
                'name' => 'Made-up four', 'engine' => ['cylinders' => 6, 'firingOrder' => [1, 5, 3, 6, 2, 4]] + $engine, 'by' => 'tests',
                'replace' => true,
            ],
            201,
        );
        $saved = Node::root($this->send('GET', '/api/engines'))->items();
        self::assertSame(
            [6, [1, 5, 3, 6, 2, 4]],
            [$saved[0]->get('engine')->get('cylinders')->raw(), $saved[0]->get('engine')->get('firingOrder')->raw()],
        );
        $this->send('POST', '/api/engines', ['name' => 'None', 'engine' => ['cylinders' => 0] + $engine, 'by' => 'tests'], 422);
    }

    /** Every picture differs from the same part without its sign, is the same for one seed, and names a sign of the catalogue. */
    public function testTheSimulatedCameraShowsWhatItIsAsked(): void
    {
        $camera = new BenchCamera(new ArrayAdapter());
        $signs = array_map(
            static fn (Node $sign): string => $sign->get('code')->text(), self::at($this->send('GET', '/api/catalogue'), 'signs')->items(),
        );
        foreach (PartPicture::cases() as $picture) {
            self::assertContains($picture->sign(), $signs);
            self::assertNotSame($picture->svg(0, 4), $picture->svg(3, 4), $picture->value);
            self::assertSame($picture->svg(3, 4), $picture->svg(3, 4));
            self::assertNotSame($picture->svg(3, 4), $picture->svg(3, 4, borescope: true));
        }
        self::assertStringStartsWith("\x89PNG", $camera->take(PartPicture::PistonCrown, 2, 1, borescope: true));
        foreach (['' => BenchCamera::WIDTH, '&preview=1' => BenchCamera::PREVIEW_WIDTH] as $query => $width) {
            $this->client->request('GET', '/api/simulated/camera/lobe_nose.png?severity=2'.$query);
            self::assertSame('image/png', $this->client->getResponse()->headers->get('Content-Type'));
            $size = getimagesizefromstring((string) $this->client->getResponse()->getContent());
            self::assertSame($width, false === $size ? 0 : $size[0]);
        }
        $this->send('GET', '/api/simulated/camera/lobe_nose.png?severity=7', null, 422);
        $this->send('GET', '/api/simulated/camera/gearbox.png', null, 404);
    }

    public function testTheSamePictureIsDrawnOnce(): void
    {
        $kept = new ArrayAdapter();
        $camera = new BenchCamera($kept);
        $first = $camera->take(PartPicture::LobeNose, 2, 5);
        self::assertSame($first, $camera->take(PartPicture::LobeNose, 2, 5));
        self::assertCount(1, $kept->getValues());
        $camera->take(PartPicture::LobeNose, 3, 5);
        $camera->take(PartPicture::LobeNose, 2, 6);
        $camera->take(PartPicture::LobeNose, 2, 5, true);
        $camera->take(PartPicture::LobeNose, 2, 5, false, BenchCamera::PREVIEW_WIDTH);
        self::assertCount(5, $kept->getValues(), 'another severity, seed, light or size is another picture');
    }

    public function testDrawingsAreMeasuredAndPrinted(): void
    {
        $store = self::getContainer()->get(PhotographStore::class);
        self::assertInstanceOf(PhotographStore::class, $store);
        $cases = self::getContainer()->get(Cases::class);
        self::assertInstanceOf(Cases::class, $cases);
        $case = $cases->get(basename($this->case));
        $photograph = $store->keep($case, (new BenchCamera(new ArrayAdapter()))->take(PartPicture::SpringCoils, 3, 9), 'simulated.png');
        $this->record(
            'photograph', ['A1-E1', 'spring', 'photograph', 'p'],
            ['sha256' => $photograph->sha256, 'caption' => '1E spring', 'about' => 'coils_bright'],
        );
        $this->record(
            'annotation', ['A1-E1', 'spring', 'annotation', 'length'],
            ['sha256' => $photograph->sha256, 'shape' => 'length', 'points' => [[0, 0], [300, 0]]],
        );
        self::assertStringContainsString('Lay a scale first', self::at($this->send('GET', $this->case.'/measures'), '0/why')->text());
        $this->record(
            'annotation', ['A1-E1', 'spring', 'annotation', 'scale'],
            ['sha256' => $photograph->sha256, 'shape' => 'scale', 'points' => [[60, 745], [210, 745]], 'text' => '0.250 in'],
        );
        self::assertStringStartsWith('0.500 ± 0.0', self::at($this->send('GET', $this->case.'/measures'), '0/measured/shown')->text());
        $pdf = $this->paper($this->case, 'report');
        $file = tempnam(sys_get_temp_dir(), 'report');
        file_put_contents($file, $pdf);
        $process = new Process(['pdfimages', '-list', $file]);
        self::assertMatchesRegularExpression('/image\s+900\s+600/', $process->mustRun()->getOutput(), 'the picture with its drawings');
        unlink($file);
    }

    public function testTheReportTellsOfTheWorkBeforeTheBench(): void
    {
        foreach (self::entries() as $name => [$kind, $slot, $data]) {
            if ('a drawing' !== $name) {
                $this->record($kind, $slot, $data);
            }
        }
        $this->record('step', ['engine', 'plan', 'step.gas_tests'], ['state' => 'done', 'note' => 'It would not turn.']);
        $this->client->request('GET', $this->case.'/report.html');
        $page = strip_tags((string) $this->client->getResponse()->getContent());
        foreach ([
            'The engine’s life', 'failure, same symptom', '31.5 h', 'in the exhaust', 'It would not turn.', '1E locks: 1 missing',
            'with the machinist, Bench two',
        ] as $words) {
            self::assertStringContainsString($words, $page);
        }
    }

    public function testTheQueueShowsTheDays(): void
    {
        $clock = self::getContainer()->get(Cases::class);
        self::assertInstanceOf(Cases::class, $clock);
        $this->record(
            'task', ['engine', 'schedule', 'task', 't'],
            [
                'label' => 'Parts', 'kind' => 'parts', 'taskState' => 'begun', 'begun' => '2020-01-01', 'due' => '2020-02-01',
                'leastDays' => 2,
            ],
        );
        $this->record('promise', ['engine', 'schedule', 'promise'], ['date' => '2020-03-01']);
        $row = self::at($this->send('GET', '/api/cases'), 'rows/0')->raw();
        self::assertSame('parts', self::at($row, 'schedule/overdue')->text());
        self::assertTrue(self::at($row, 'schedule/late')->flag());
        self::assertStringContainsString('ago: late', self::at($row, 'schedule/sentence')->text());
    }

    public function testAGaugeOnItsCableIsReadAndTheReadingSaysSo(): void
    {
        $line = $this->send('GET', '/api/gauges/lever_tester/reading?quantity=pull');
        self::assertTrue($line['simulated']);
        $stored = $this->record(
            'reading', ['A1-E1', 'valve', 'pull', '1'],
            ['text' => self::at($line, 'value')->text().' '.self::at($line, 'unit')->text(), 'received' => true],
        );
        self::assertTrue(self::at($stored, 'entry/content/received')->flag());
        $typed = $this->record('reading', ['A1-E1', 'valve', 'pull', '2'], ['text' => '118']);
        self::assertFalse(self::at($typed, 'entry/content')->has('received'));
        self::assertStringContainsString(
            'type what it shows',
            self::at($this->send('GET', '/api/gauges/degree_wheel/reading?quantity=cam_phase_found', null, 404), 'detail')->text(),
        );
    }

    public function testAPhoneFindsTheShopByTheAddressItIsServedAt(): void
    {
        $pdf = $this->paper(
            $this->case, 'tags', ['stations' => ['A1-E1'], 'parts' => ['valve']], ['MUTE_TAPPER_ADDRESS' => 'http://192.0.2.7:8740'],
        );
        $file = tempnam(sys_get_temp_dir(), 'tags');
        file_put_contents($file, $pdf);
        shell_exec(sprintf('pdftoppm -r 200 -png %1$s %1$s', escapeshellarg($file)));
        $code = (string) shell_exec(sprintf('zbarimg -q --raw %s-1.png 2>/dev/null', escapeshellarg($file)));
        unlink($file);
        unlink($file.'-1.png');
        self::assertStringStartsWith('http://192.0.2.7:8740/case/', $code);
    }
}
