<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\Core\Document\Node;

/** Clearances over HTTP: the stack of a valve, what is tried in it, guides to be cut, fit, what does not match, and health. */
final class ClearanceTest extends AppTestCase
{
    private const STACK = [
        'installed_height' => ['spring_seat', '1.842'], 'seal_height' => ['seal', '0.900'], 'guide_height' => ['guide', '0.640'],
        'retainer_depth' => ['retainer', '0.285'], 'net_lift' => ['valve', '0.590'], 'locator_thickness' => ['spring_seat', '0.060'],
        'pocket_diameter' => ['spring_seat', '1.571'],
    ];

    private string $case;

    protected function setUp(): void
    {
        parent::setUp();
        $this->case = '/api/cases/'.$this->newCase();
    }

    public function testAStackIsToldAsFoundAndAsTried(): void
    {
        $this->measure('A1-E1');
        $before = $this->send('GET', $this->case.'/case.json');
        $found = Node::root($this->send('GET', $this->case.'/stack/A1-E1'));
        self::assertNull($found->get('tried')->raw());
        self::assertSame(['1.842 ± 0.001 in', true], [
            $found->get('found')->get('installed_height')->get('value')->get('shown')->text(),
            $found->get('found')->get('installed_height')->get('isMeasured')->flag(),
        ]);
        self::assertSame(
            'It lifts 0.590: 0.017 more would be inside every limit. After retainer to seal comes retainer to guide, at 0.867.',
            $found->get('ladder')->get('sentence')->text(),
        );
        self::assertSame('retainer_to_seal', $found->get('ladder')->get('limits')->items()[0]->get('quantity')->text());
        $tried = $this->stack([['places' => ['A1-E1'], 'name' => 'guide_cut', 'to' => ['number' => 0.04, 'unit' => 'in']]]);
        self::assertSame(['0.067', '0.107'], self::gap($tried, 'retainer_to_seal'));
        self::assertEqualsWithDelta(0.647, $tried->get('ladder')->get('tried')->get('at')->number(), 1e-6);
        self::assertSame($before, $this->send('GET', $this->case.'/case.json'), 'Nothing that is tried is recorded.');
    }

    /** A spring of the library is tried by what its maker states of it; what he does not state is not known of it. */
    public function testASpringOfTheLibraryIsTried(): void
    {
        $this->measure('A1-E1');
        $this->reading('A1-E1', 'spring', 'bind_height', '1.120', 'outer');
        $this->send('PUT', '/api/library/springs/soft', ['name' => 'Made-up soft', 'version' => 0, 'by' => 'tests', 'content' => [
            'figures' => [
                ['item' => 'bind_height', 'index' => 'outer', 'text' => '1.050'],
                ['item' => 'load_seat', 'index' => 'outer', 'text' => '140', 'at' => '1.842'],
            ],
        ]]);
        $spring = ['places' => ['A1-E1'], 'part' => 'spring', 'from' => 'shelf-springs-soft'];
        $tried = $this->stack([$spring]);
        self::assertSame(['0.132', '0.202'], self::gap($tried, 'travel_to_bind'));
        self::assertSame('1.050 ± 0.001 in', $tried->get('tried')->get('bind_height.outer')->get('value')->get('shown')->text());
        self::assertSame(['shelf-springs-soft'], array_map(
            static fn (Node $one): string => $one->get('from')->text(), $tried->get('parts')->items(),
        ));
        $fit = Node::root($this->send('GET', $this->case.'/fit?spring=shelf-springs-soft'));
        $margins = array_values(array_filter(
            $fit->get('margins')->items(),
            static fn (Node $one): bool => $one->get('quantity')->text() === 'spring_in_pocket' && $one->get('place')->text() === 'A1-E1',
        ));
        self::assertSame('not_measured', $margins[0]->get('verdict')->text(), 'The maker says nothing of its outside.');
    }

    public function testWhatCannotBeTriedIsRefusedByItsPlace(): void
    {
        $this->measure('A1-E1');
        foreach ([
            'not json' => ['nonsense', 400, ''],
            'no such value' => ['[{"places":["A1-E1"],"name":"horn","to":{"number":1,"unit":"in"}}]', 422, '/0/name'],
            'no such place' => ['[{"places":["Z9"],"name":"net_lift","to":{"number":1,"unit":"in"}}]', 422, '/0/places/0'],
            'another unit' => ['[{"places":["A1-E1"],"name":"net_lift","to":{"number":1,"unit":"lbf"}}]', 422, '/0/to/unit'],
        ] as $what => [$change, $status, $pointer]) {
            $problem = Node::root($this->send('GET', $this->case.'/stack/A1-E1?change='.rawurlencode($change), null, $status));
            self::assertSame($pointer, $problem->maybe('pointer')?->text() ?? '', $what);
        }
        $this->send('GET', $this->case.'/stack/horn', null, 404);
    }

    public function testGuidesAreCutForTheLiftThatIsWanted(): void
    {
        $this->measure('A1-E1');
        $cuts = fn (string $more): array => array_map(
            static fn (Node $one): array => [$one->get('label')->text(), $one->maybe('cut')?->get('shown')->raw()],
            Node::root($this->send('GET', $this->case.'/guides-to-cut?more='.rawurlencode($more)))->items(),
        );
        self::assertSame([['1E', null]], $cuts(''));
        self::assertSame([['1E', '0.063 in']], $cuts('0.080'));
        self::assertSame([['1E', '0.063 in']], $cuts('2.032 mm'));
        $problem = $this->send('GET', $this->case.'/guides-to-cut?more=much', null, 422);
        self::assertSame('/more', $problem['pointer']);
    }

    public function testASweepIsOneEntryAndSurvivesTheFile(): void
    {
        $points = [];
        for ($i = 0; $i < 190; ++$i) {
            $height = 1.95 - 0.004 * $i;
            $points[] = [round($height, 3), round(410 * (2.25 - max($height, 1.21)) + 25000 * max(0.0, 1.21 - $height), 1)];
        }
        $data = ['points' => $points, 'heightUnit' => 'in', 'loadUnit' => 'lbf', 'received' => true];
        foreach (['A1-E1', 'loose-drawer-9'] as $place) {
            $this->send('POST', $this->case.'/entries', self::entry('sweep', [$place, 'spring', 'sweep', 'outer'], $data), 201);
        }
        $swept = Node::root($this->send('GET', $this->case.'/sweeps?against=loose-drawer-9'));
        self::assertSame(['1E', 'drawer-9'], array_map(
            static fn (Node $one): string => $one->get('label')->text(), $swept->get('springs')->items(),
        ));
        self::assertSame('loose-drawer-9', $swept->get('against')->text());
        self::assertSame('1E is like drawer-9.', $swept->get('springs')->items()[0]->get('said')->text());
        self::assertEqualsWithDelta(1.21, $swept->get('springs')->items()[0]->get('bind')->number(), 0.002);
        $this->client->request('GET', $this->case.'/sweeps.csv');
        $lines = explode("\r\n", trim((string) $this->client->getResponse()->getContent()));
        self::assertSame(['spring,"height, in","load, lbf"', 2 * 190 + 1], [$lines[0], count($lines)]);
        $file = $this->send('GET', $this->case.'/case.json');
        $kept = array_values(array_filter(
            Node::root($file)->get('entries')->items(), static fn (Node $one): bool => $one->get('kind')->text() === 'sweep',
        ));
        self::assertSame('spring_tester', $kept[0]->get('data')->get('gauge')->get('code')->text());
        foreach ([
            ['/data/points', ['A2-E1', 'spring', 'sweep', 'outer'], ['points' => array_slice($points, 0, 3)] + $data],
            ['/slot', ['A2-E1', 'valve', 'sweep', 'outer'], $data], ['/slot', ['A2-E1', 'spring', 'sweep', 'pair'], $data],
            ['/slot/place', ['Z9', 'spring', 'sweep', 'outer'], $data],
            ['/data/gauge', ['A2-E1', 'spring', 'sweep', 'outer'], ['gauge' => 'caliper'] + $data],
        ] as [$pointer, $slot, $bad]) {
            $problem = Node::root($this->send('POST', $this->case.'/entries', self::entry('sweep', $slot, $bad), 422));
            self::assertSame($pointer, $problem->get('pointer')->text());
        }
        $this->send('GET', $this->case.'/sweeps?coil=middle', null, 404);
    }

    public function testMismatchesAndHealthAreTold(): void
    {
        foreach ([
            'A1-E1' => '1.900', 'A2-E1' => '1.902', 'A3-E1' => '1.899', 'B1-E1' => '1.842', 'B2-E1' => '1.845', 'B3-E1' => '1.840',
        ] as $place => $text) {
            $this->reading($place, 'spring_seat', 'installed_height', $text);
        }
        $found = Node::root($this->send('GET', $this->case.'/mismatches'))->items();
        self::assertSame(['banks', 'bank A', '1.900', 'bank B', '1.842'], [
            $found[0]->get('kind')->text(), $found[0]->get('one')->get('name')->text(), $found[0]->get('one')->get('shown')->text(),
            $found[0]->get('other')->get('name')->text(), $found[0]->get('other')->get('shown')->text(),
        ]);
        $banks = Node::root($this->send('GET', $this->case.'/comparison?one=bank-A&other=bank-B'));
        self::assertSame(
            ['installed height', 'bank A', '1.900', 'bank B', '1.842'],
            array_map(static fn (string $path): string => self::at($banks->raw(), 'figures/0/'.$path)->text(), [
                'what', 'one/name', 'one/shown', 'other/name', 'other/shown',
            ]),
        );
        $groups = array_map(
            static fn (Node $one): string => $one->get('code')->text(), Node::root($this->send('GET', $this->case.'/groups'))->items(),
        );
        self::assertContains('bank-B', $groups);
        self::assertContains('A2-I1', $groups);
        $sister = $this->newCase();
        $this->send(
            'POST', '/api/cases',
            [
                'id' => '01900000-0000-7000-8000-00000000dddd', 'name' => 'Four', 'by' => 'tests',
                'engine' => ['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 4],
            ], 201,
        );
        self::assertSame([$sister], array_column($this->send('GET', $this->case.'/comparable'), 'id'), 'engines of the same build');
        $this->send('POST', '/api/cases/'.$sister.'/entries', self::height('1.700', 'B1-E1'), 201);
        $earlier = Node::root($this->send('GET', $this->case.'/comparison?one=B1-E1&other=B1-E1&of='.$sister));
        self::assertSame('installed height', $earlier->get('figures')->items()[0]->get('what')->word());
        $this->send('GET', $this->case.'/comparison?one=B1-E1&other=B1-E1&of='.str_replace('-7', '-4', $sister), null, 404);
        $problem = $this->send('GET', $this->case.'/comparison?one=bank-A&other=bank-Q', null, 422);
        self::assertSame('/other', $problem['pointer']);
        $health = Node::root($this->send('GET', $this->case.'/health'));
        self::assertNull($health->get('isReady')->raw());
        self::assertSame('Not known yet: lash, seat-load pulls, compression and leak-down.', $health->get('sentence')->text());
    }

    private function measure(string $place): void
    {
        foreach (self::STACK as $item => [$part, $text]) {
            $this->reading($place, $part, $item, $text);
        }
    }

    private function reading(string $place, string $part, string $item, string $text, ?string $index = null): void
    {
        $slot = $index === null ? [$place, $part, $item] : [$place, $part, $item, $index];
        $this->send('POST', $this->case.'/entries', self::entry('reading', $slot, ['text' => $text]), 201);
    }

    /** @param list<array<string, mixed>> $change */
    private function stack(array $change): Node
    {
        return Node::root($this->send(
            'GET', $this->case.'/stack/A1-E1?change='.rawurlencode(json_encode($change, \JSON_THROW_ON_ERROR)),
        ));
    }

    /** @return array{string, string|null} as found and as tried */
    private static function gap(Node $stack, string $quantity): array
    {
        foreach ($stack->get('gaps')->items() as $gap) {
            if ($gap->get('found')->get('quantity')->text() === $quantity) {
                return [
                    $gap->get('found')->get('value')->get('figure')->text(),
                    $gap->maybe('tried')?->get('value')->get('figure')->text(),
                ];
            }
        }
        self::fail($quantity.' is not told');
    }
}
