<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Record\Cases;
use MuteTapper\Core\Document\Node;

/** Step 9 over the wire: remedies side by side, parts, the plan of the reassembly, the return. */
final class RemedyTest extends AppTestCase
{
    private const SHIMS = [['places' => ['A1-E1', 'B2-E1'], 'name' => 'shim_stack', 'by' => ['number' => 0.03, 'unit' => 'in']]];
    private string $case;

    protected function setUp(): void
    {
        parent::setUp();
        $this->case = '/api/cases/'.$this->newCase();
        foreach (['A1-E1' => '1.750', 'B2-E1' => '1.748'] as $place => $height) {
            $this->send('POST', $this->case.'/entries', self::height($height, $place), 201);
            $this->record('reading', [$place, 'spring', 'bind_height', 'outer'], ['text' => '1.130']);
            $this->record('reading', [$place, 'valve', 'net_lift'], ['text' => '0.540']);
        }
    }

    /**
     * @param array{string, string, string, 3?: string} $slot
     * @param array<string, mixed> $data
     */
    private function record(string $kind, array $slot, array $data): void
    {
        $this->send('POST', $this->case.'/entries', self::entry($kind, $slot, $data), 201);
    }

    /**
     * @param array<string, mixed> $more
     * @param list<array<string, mixed>> $change
     */
    private function remedy(string $id, string $name, array $change, array $more = []): void
    {
        $data = $more + ['name' => $name, 'remedyKind' => 'cure', 'change' => $change];
        $this->record('remedy', ['engine', 'remedy', 'alternative', $id], $data);
    }

    private function get(string $path): Node
    {
        return Node::root($this->send('GET', $this->case.$path));
    }

    /** @return array<string, Node> */
    private static function by(string $key, Node $list): array
    {
        $found = [];
        foreach ($list->items() as $one) {
            $found[$one->get($key)->text()] = $one;
        }

        return $found;
    }

    public function testRemediesStandSideBySideWithEveryMarginBeforeAndAfter(): void
    {
        $this->remedy('a', 'Shims', self::SHIMS, ['hours' => 3, 'waitDays' => 2]);
        $this->remedy('b', 'Less lift', [['places' => ['A1-E1'], 'name' => 'net_lift', 'to' => ['number' => 0.5, 'unit' => 'in']]]);
        $this->remedy('c', 'Limiter', [], ['remedyKind' => 'containment', 'until' => 'the springs come']);
        $this->record('taken', ['engine', 'remedy', 'taken'], ['remedies' => ['c']]);
        $board = $this->get('/remedies');
        self::assertTrue($board->get('removesNothing')->flag(), 'what is taken only holds');
        $remedies = self::by('letter', $board->get('remedies'));
        self::assertSame(['A', 'B', 'C'], array_keys($remedies));
        self::assertSame(['travel to bind 0.078 → 0.048 (1E, 4E, worst 4E)'], $remedies['A']->get('worse')->words());
        self::assertSame(['travel to bind 0.078 → 0.048 (1E, 4E, worst 4E)'], $remedies['A']->get('outside')->words());
        self::assertSame(['travel to bind 0.080 → 0.120 (1E)'], $remedies['B']->get('better')->words());
        self::assertSame(['installed height'], $remedies['A']->get('again')->words());
        $this->remedy('d', 'More shims', [['places' => ['A1-E1'], 'name' => 'shim_stack', 'by' => ['number' => 0.09, 'unit' => 'in']]]);
        $more = self::by('letter', $this->get('/remedies')->get('remedies'))['D'];
        $near = ['places' => ['A1-E1'], 'name' => 'shim_stack', 'by' => ['number' => 0.05, 'unit' => 'in']];
        $this->remedy('e', 'As near as it comes', [$near]);
        $near = self::by('letter', $this->get('/remedies')->get('remedies'))['E'];
        self::assertSame(
            '0.050 in (0.030 + 0.015 of the stock come to 0.045) more', $near->get('changes')->items()[0]->get('to')->text(),
        );
        self::assertSame('0.090 in (0.060 + 0.030) more', $more->get('changes')->items()[0]->get('to')->text(), 'of the shop’s stock');
        $rows = self::by('name', $board->get('rows'));
        $bind = self::by('remedy', $rows['travel_to_bind']->get('effects'));
        self::assertSame(['worse', '4E', '0.078', '0.048'], array_map(
            static fn (string $key): string => $bind['a']->get($key)->text(), ['moved', 'label', 'before', 'after'],
        ));
        self::assertSame('better', $bind['b']->get('moved')->word());
        self::assertSame('unchanged', $bind['c']->get('moved')->word());
        self::assertEqualsWithDelta(
            $bind['a']->get('margin')->get('notch')->number() + (0.078 - 0.060) / 0.16, $bind['a']->get('from')->number(), 1e-6,
            'the open pin stands on the same scale',
        );
        $here = self::by('name', $this->get('/remedies?place=A1-E1')->get('rows'));
        self::assertSame('1E', $here['travel_to_bind']->get('effects')->items()[0]->get('label')->text());
        $this->send('GET', $this->case.'/remedies?place=A9-E1', null, 404);
    }

    /** What is tried, decided, ticked and measured for the rebuild leaves what is derived of the case where it is kept. */
    public function testNothingOfItReachesTheJudgement(): void
    {
        $before = $this->content();
        $ranking = $this->send('GET', $this->case.'/ranking');
        $this->remedy('a', 'Shims', self::SHIMS);
        $this->record('taken', ['engine', 'remedy', 'taken'], ['remedies' => ['a']]);
        $this->record('reuse', ['A1-E1', 'valve', 'reuse'], ['decision' => 'replace']);
        $this->record('line', ['A1-E1', 'assembly', 'line', 'installed_height'], ['state' => 'ticked']);
        $this->record('reading', ['A1-E1', 'spring_seat', 'installed_height', 'built-rebuild'], ['text' => '1.500']);
        $this->record('reading', ['A1-E1', 'valve', 'pull', 'built-2026-12-20.1'], ['text' => '40 lb']);
        $this->record('outcome', ['engine', 'afterwards', 'outcome', '2026-12-20'], ['amount' => 3, 'symptom' => 'same']);
        self::assertSame($before, $this->content());
        self::assertSame($ranking['causes'], $this->send('GET', $this->case.'/ranking')['causes']);
        $this->send('POST', $this->case.'/entries', self::height('1.749', 'B3-E1'), 201);
        self::assertNotSame($before, $this->content(), 'what is found does');
    }

    /** What names all that is derived of the case. */
    private function content(): string
    {
        [$assessments, $cases] = [self::getContainer()->get(Assessments::class), self::getContainer()->get(Cases::class)];
        self::assertInstanceOf(Assessments::class, $assessments);
        self::assertInstanceOf(Cases::class, $cases);

        return $assessments->content($cases->get(basename($this->case)));
    }

    /** A trial may remove it: beside what only holds it counts. */
    /** What a limiter cuts is said with its figure, and what that brings with it; it moves no margin. */
    public function testALimiterIsOfAKind(): void
    {
        $limiter = static fn (string $kind): array => [
            ['places' => ['engine'], 'name' => 'highest_speed', 'kind' => $kind, 'to' => ['number' => 6800, 'unit' => '1/min']],
        ];
        $this->remedy('a', 'Limiter', $limiter('ignition'));
        $told = $this->get('/remedies')->get('remedies')->items()[0];
        self::assertSame('6800 1/min, cuts the ignition', $told->get('changes')->items()[0]->get('to')->text());
        self::assertStringContainsString('burns there and presses on the valves', implode('; ', $told->get('worse')->words()));
        $refused = $this->send('POST', $this->case.'/entries', self::entry(
            'remedy', ['engine', 'remedy', 'alternative', 'b'], ['name' => 'No', 'remedyKind' => 'cure', 'change' => $limiter('hope')],
        ), 422);
        self::assertStringContainsString('called “hope”', self::at($refused, 'reason')->text());
    }

    public function testATrialBesideAContainmentIsNotNothing(): void
    {
        $this->remedy('t', 'Other springs', [], ['remedyKind' => 'trial']);
        $this->remedy('c', 'Limiter', [], ['remedyKind' => 'containment', 'until' => 'the springs come']);
        self::assertFalse($this->get('/remedies')->get('removesNothing')->flag(), 'nothing is taken yet');
        $this->record('taken', ['engine', 'remedy', 'taken'], ['remedies' => ['t', 'c']]);
        self::assertFalse($this->get('/remedies')->get('removesNothing')->flag());
    }

    public function testThePlanHoldsWhatIsReadAgainstWhatIsPlanned(): void
    {
        $this->remedy('a', 'Shims', self::SHIMS);
        $this->record('taken', ['engine', 'remedy', 'taken'], ['remedies' => ['a']]);
        $this->record('reading', ['A1-E1', 'spring', 'load_seat', 'outer'], ['text' => '130', 'atText' => '1.750']);
        $this->record('reading', ['A1-E1', 'spring', 'load_open', 'outer'], ['text' => '330', 'atText' => '1.210']);
        $this->record('reading', ['A1-E1', 'spring_seat', 'installed_height', 'built-rebuild'], ['text' => '1.750']);
        $plan = $this->get('/reassembly');
        self::assertSame(['Shims'], $plan->get('taken')->words());
        $lines = self::by('code', $plan->get('lines'));
        $height = self::by('place', $lines['installed_height']->get('places'))['A1-E1'];
        self::assertSame(['1.720', '1.750', 'built-rebuild'], array_map(
            static fn (string $key): string => $height->get($key)->text(), ['planned', 'built', 'index'],
        ));
        self::assertTrue($height->get('isOut')->flag());
        self::assertStringContainsString('seat load on the valve is', $height->get('follows')->text());
        self::assertSame('A shim of 0.030 in would bring 1.720 in.', $height->get('mend')->text());
        self::assertSame('head', $lines['head_tight']->get('wanting')->text());
        self::assertNotSame([], $height->get('unmet')->words());
        $this->record('line', ['A1-E1', 'assembly', 'line', 'installed_height'], ['state' => 'kept', 'note' => 'no shim']);
        $again = $this->get('/reassembly');
        self::assertSame($plan->get('done')->whole(0, 9999) + 1, $again->get('done')->whole(0, 9999));
        $kept = self::by('place', self::by('code', $again->get('lines'))['installed_height']->get('places'))['A1-E1'];
        self::assertSame('kept', $kept->get('state')->word());
    }

    public function testTheEngineThatReturnsTellsWhetherTheCallHeld(): void
    {
        foreach (['built-rebuild' => '0.012', 'built-2026-12-20' => '0.020'] as $index => $lash) {
            $this->record('reading', ['A1-E1', 'valve', 'lash', $index], ['text' => $lash]);
        }
        $this->record('outcome', ['engine', 'afterwards', 'outcome', '2026-12-20'], ['amount' => 10, 'unit' => 'h', 'symptom' => 'gone']);
        $back = $this->get('/afterwards');
        $return = $back->get('returns')->items()[0];
        self::assertSame('Nothing of it after 10 h; but 1E moved: look before it breaks.', $return->get('sentence')->text());
        $lash = $return->get('values')->items()[0];
        self::assertSame(['0.012', '0.020'], [$lash->get('rebuild')->text(), $lash->get('returned')->text()]);
        self::assertStringContainsString('It grew', $lash->get('moved')->get('sentence')->text());
        self::assertSame(0, $back->get('record')->get('followed')->whole(0, 9), 'nothing was signed');

        $this->send(
            'PUT', $this->case.'/call', ['causes' => ['spring_weak'], 'words' => 'It has set.', 'confidence' => 85, 'by' => 'R. Test'], 200,
            ['If-Match' => '"1"'],
        );
        $this->send('POST', $this->case.'/call/signature', ['by' => 'R. Test'], 200, ['If-Match' => '"2"']);
        $record = $this->get('/afterwards')->get('record');
        self::assertSame([1, 1, 1, 0], array_map(
            static fn (string $key): int => $record->get($key)->whole(0, 9), ['signed', 'followed', 'held', 'failed'],
        ));
        $sure = $record->get('bySureness')->items()[0];
        self::assertSame(['very likely', 1], [$sure->get('words')->text(), $sure->get('held')->whole(0, 9)]);
    }

    public function testTheReportPrintsWhatMustChangeAndWhatWasDone(): void
    {
        $plain = $this->report();
        foreach (['What must change', 'What goes back in', 'How it went back together', 'How it came back'] as $title) {
            self::assertStringNotContainsString($title, $plain, 'of what nobody recorded nothing is printed');
        }
        $this->remedy('a', 'Shims', self::SHIMS, ['hours' => 3]);
        $this->remedy('c', 'Limiter', [], ['remedyKind' => 'containment', 'until' => 'the springs come']);
        $this->record('taken', ['engine', 'remedy', 'taken'], ['remedies' => ['c']]);
        $this->record('reuse', ['A1-E1', 'valve', 'reuse'], ['decision' => 'keep', 'words' => 'dye showed nothing']);
        $this->record('reading', ['A1-E1', 'spring_seat', 'installed_height', 'built-rebuild'], ['text' => '1.790']);
        $this->record('line', ['A1-E1', 'assembly', 'line', 'installed_height'], ['state' => 'kept', 'note' => 'no shim']);
        $this->record('line', ['A1-E1', 'assembly', 'line', 'locks_even'], ['state' => 'ticked']);
        $this->record('outcome', ['engine', 'afterwards', 'outcome', '2026-12-20'], ['amount' => 3, 'unit' => 'runs', 'symptom' => 'same']);
        $report = $this->report();
        foreach ([
            'What is taken only holds: what failed is not removed.', 'A Shims', 'shims under the spring, 1E, 4E: 0.030 in more.',
            'travel to bind 0.078 → 0.048 (1E, 4E, worst 4E)', 'Until the springs come.', 'dye showed nothing',
            'Installed height, 1E: kept out of range: no shim', '1E 1.790 (out of range)', 'locks cannot stand before the spring does',
            'The call did not hold: the same after 3 runs.',
        ] as $words) {
            self::assertStringContainsString($words, $report);
        }
    }

    private function report(): string
    {
        $this->client->request('GET', $this->case.'/report.html');
        $html = (string) $this->client->getResponse()->getContent();

        return (string) preg_replace('/\s+/', ' ', html_entity_decode(strip_tags($html), \ENT_QUOTES | \ENT_HTML5));
    }

    public function testPartsAreAdvisedDecidedAndOrdered(): void
    {
        $this->record('finding', ['A1-E1', 'spring', 'spring_broken'], ['severity' => 4]);
        $this->record('reuse', ['A1-E1', 'spring', 'reuse'], ['decision' => 'replace']);
        $limit = ['decision' => 'keep_with_limit', 'amount' => 20, 'unit' => 'h', 'words' => 'sound'];
        $this->record('reuse', ['engine', 'valve', 'reuse'], $limit);
        $reuse = $this->get('/reuse');
        self::assertSame(2, $reuse->get('decided')->whole(0, 99));
        $orders = self::by('label', $reuse->get('orders'));
        self::assertTrue($orders['seal']->get('isDecided')->flag() === false && $orders['seal']->get('count')->whole(0, 99) === 16);
        $parts = array_filter($reuse->get('parts')->items(), static fn (Node $one): bool => $one->get('part')->word() === 'valve');
        self::assertSame(20.0, reset($parts) === false ? null : reset($parts)->get('amount')->number());
    }
}
