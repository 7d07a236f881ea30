<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\App\Gauge\GaugeCable;
use MuteTapper\App\Gauge\GaugeLineView;
use MuteTapper\Core\Document\Node;

/** The shop's shelves over HTTP: what may stand there, that nothing of it is lost, and what the cases make of it. */
final class LibraryTest extends AppTestCase
{
    private const HOOK = ['kind' => 'lever_tester', 'zero' => 1.5, 'offset' => 4.0];
    private const LIMIT = ['schools' => ['practice' => 0.075], 'default' => 'practice', 'mark' => 'own', 'source' => 'Seen here.'];

    public function testEachStateOfAThingStays(): void
    {
        $first = Node::root($this->put('gauges', 'hook-1', self::HOOK));
        self::assertSame('repeats to 5 lbf, reads 4 lbf high, known to 1.5 lbf', $first->get('sums')->text());
        $this->put('gauges', 'hook-1', ['offset' => 6.0] + self::HOOK, 1);
        // Made on a state that somebody replaced meanwhile.
        $refusal = Node::root($this->put('gauges', 'hook-1', ['offset' => 5.0] + self::HOOK, 1, 409));
        self::assertSame(2, $refusal->get('version')->raw());
        // Something new of the same code is the same.
        $this->put('gauges', 'hook-1', self::HOOK, 0, 409);
        $this->put('gauges', 'hook-1', null, 2);
        self::assertSame([], $this->send('GET', '/api/library/gauges'));
        $versions = Node::root($this->send('GET', '/api/library/gauges/hook-1/versions'))->items();
        self::assertSame([3, 2, 1], array_map(static fn (Node $one): mixed => $one->get('version')->raw(), $versions));
        self::assertEquals(6.0, $versions[1]->get('content')->get('offset')->raw());
        self::assertNull($versions[0]->get('content')->raw());
        // What was taken off may be put on again.
        $this->put('gauges', 'hook-1', self::HOOK, 0);
    }

    public function testWhatMayNotStandThereIsRefusedByItsPlace(): void
    {
        foreach ([
            ['gauges', 'caliper', ['kind' => 'caliper'], '/code'],
            ['gauges', 'Hook', self::HOOK, '/code'],
            ['gauges', 'mine', ['kind' => 'spoon'], '/content/kind'],
            ['springs', 'soft', ['figures' => [['item' => 'lash', 'text' => '0.016']]], '/content/figures/0/item'],
            ['springs', 'soft', ['figures' => [['item' => 'free_height', 'index' => 'outer', 'text' => '45']]], '/content/figures/0/text'],
            ['springs', 'soft', ['figures' => [['item' => 'load_seat', 'index' => 'outer', 'text' => '100 lb']]], '/content/figures/0/at'],
            ['lobes', 'late', ['figures' => [['item' => 'free_height', 'text' => '2.25']]], '/content/figures/0/item'],
            ['lobes', 'late', ['figures' => [['item' => 'card_high_duration', 'text' => '900']]], '/content/figures/0/text'],
            ['limits', 'no_such', self::LIMIT, '/code'],
            ['limits', 'retainer_to_seal', ['side' => 'at_most'] + self::LIMIT, '/content/side'],
            ['limits', 'retainer_to_seal', ['mark' => 'hearsay'] + self::LIMIT, '/content/mark'],
            ['limits', 'retainer_to_seal', ['default' => 'nobody'] + self::LIMIT, '/content/default'],
            ['engines', 'four', ['cylinders' => 0], '/content'],
            ['studies', 'one', ['unit' => 'in', 'readings' => []], '/content/readings'],
        ] as [$shelf, $code, $content, $pointer]) {
            self::assertStringStartsWith($pointer, Node::root($this->put($shelf, $code, $content, 0, 422))->get('pointer')->text());
        }
        $this->send('GET', '/api/library/spoons', null, 404);
        self::assertSame([], Node::root($this->send('GET', '/api/library/file.json'))->get('items')->raw());
    }

    /** An engine described on its shelf is kept complete, and changed there; a case begins from what stands. */
    public function testAnEngineIsDescribedOnItsShelf(): void
    {
        $this->put('engines', 'boat-four', ['layout' => 'inline', 'drive' => 'pushrod', 'cylinders' => 4]);
        $kept = Node::root($this->send('GET', '/api/library/engines'))->items()[0];
        self::assertSame([1, 2, 3, 4], $kept->get('content')->get('numbering')->get('A')->raw());
        self::assertStringStartsWith('Inline 4, 8 valves, pushrod', $kept->get('sums')->text());
        $this->put('engines', 'boat-four', ['layout' => 'inline', 'drive' => 'finger', 'cylinders' => 5], 1);
        $saved = Node::root($this->send('GET', '/api/engines'))->items();
        self::assertSame(['finger', 5], [$saved[0]->get('engine')->get('drive')->raw(), $saved[0]->get('engine')->get('cylinders')->raw()]);
        $twice = ['layout' => 'inline', 'drive' => 'finger', 'cylinders' => 4, 'firing_order' => [1, 1, 2, 3]];
        $this->put('engines', 'boat-four', $twice, 2, 422);
    }

    /** Out of one shop, into another: all of it or nothing, and twice changes nothing. */
    public function testTheShelvesAsAFile(): void
    {
        $this->put('gauges', 'hook-1', self::HOOK);
        $this->put('limits', 'retainer_to_seal', self::LIMIT);
        $this->client->request('GET', '/api/library/file.json');
        $file = (string) $this->client->getResponse()->getContent();
        self::assertSame(['changed' => 0], $this->send('POST', '/api/library/file.json?by=tests', $file));
        $this->put('limits', 'retainer_to_seal', ['source' => 'Another.'] + self::LIMIT, 1);
        self::assertSame(['changed' => 1], $this->send('POST', '/api/library/file.json?by=tests', $file));
        $this->client->request('GET', '/api/library/file.json');
        self::assertSame($file, (string) $this->client->getResponse()->getContent());
        $broken = str_replace('lever_tester', 'spoon', str_replace('Another', 'Third', $file));
        $refusal = Node::root($this->send('POST', '/api/library/file.json?by=tests', $broken, 422));
        self::assertSame('/items/0/content/kind', $refusal->get('pointer')->text());
        $this->send('POST', '/api/library/file.json?by=tests', ['format' => 'other', 'version' => 1, 'items' => []], 422);
        $this->send('POST', '/api/library/file.json?by=', $file, 422);
    }

    /** A reading of the shop's own gauge is less its offset, and stays so when the gauge is set anew. */
    public function testAReadingIsWorthWhatItsGaugeWasWorthThen(): void
    {
        $this->put('gauges', 'hook-1', self::HOOK);
        $case = $this->opened();
        $this->reading($case, 'pull', '119', '1', 'hook-1');
        $this->reading($case, 'pull', '119', '2');
        $this->put('gauges', 'hook-1', ['offset' => 40.0] + self::HOOK, 1);
        $document = Node::root($this->send('GET', $case.'/case.json'))->get('entries')->items();
        self::assertEquals(4.0, $document[0]->get('data')->get('gauge')->get('offset')->raw());
        self::assertFalse($document[1]->get('data')->get('gauge')->has('offset'));
        $this->reading($case, 'pull', '119', '3', 'no-such', 422);
    }

    /** Packs are laid out of what the shop keeps; taken off, out of what is shipped. */
    public function testPacksAreLaidOutOfTheShopsOwnShims(): void
    {
        $case = $this->opened();
        $this->send('POST', $case.'/entries', self::entry(
            'claim', ['engine', 'spring_seat', 'claimed.installed_height'], ['text' => '1.900', 'standing' => 'known'],
        ), 201);
        $this->reading($case, 'installed_height', '1.948');
        $said = fn (): string => Node::root($this->send('GET', $case.'/sheets/heights'))->get('remarks')->words()[0] ?? '';
        self::assertStringContainsString('0.030 + 0.015', $said());
        $stock = ['thicknesses' => [0.5, 1.2], 'unit' => 'mm', 'tolerance' => 0.05, 'mark' => 'own', 'source' => 'What is in the box.'];
        $this->put('stock', 'spring_shims', $stock);
        self::assertStringContainsString('0.047', $said(), '1.2 mm are 0.0472 in, and 0.048 in are wanted');
        $listed = Node::root($this->send('GET', '/api/stock'))->items()[0];
        self::assertEquals([[0.5, 1.2], [0.015, 0.03, 0.06], true], [
            $listed->get('thicknesses')->raw(), $listed->get('shipped')->raw(), $listed->get('isShops')->flag(),
        ]);
        $this->put('stock', 'spring_shims', null, 1);
        self::assertStringContainsString('0.030 + 0.015', $said());
        foreach ([
            '/content/thicknesses/0' => ['spring_shims', ['thicknesses' => [90]] + $stock],
            '/content/title' => ['spring_shims', ['title' => 'x'] + $stock], '/code' => ['pushrods', $stock],
        ] as $pointer => [$code, $bad]) {
            self::assertSame($pointer, $this->put('stock', $code, $bad, 0, 422)['pointer']);
        }
    }

    /** A limit that the shop has set judges every open case, and says whose it is; taken off, the shipped one does again. */
    public function testTheShopsLimitJudges(): void
    {
        $case = $this->opened();
        $stack = ['installed_height' => '1.900', 'seal_height' => '0.960', 'retainer_depth' => '0.285', 'net_lift' => '0.590'];
        foreach ($stack as $item => $text) {
            $this->reading($case, $item, $text);
        }
        $verdict = function () use ($case): string {
            $margins = Node::root($this->send('GET', $case.'/margins?quantity=retainer_to_seal'))->get('margins')->items();

            return $margins[0]->get('verdict')->text();
        };
        $before = Node::root($this->send('GET', '/api/catalogue'))->get('hash')->text();
        self::assertSame('inside', $verdict());
        $this->put('limits', 'retainer_to_seal', self::LIMIT);
        self::assertSame('outside', $verdict());
        self::assertNotSame($before, Node::root($this->send('GET', '/api/catalogue'))->get('hash')->text());
        $this->put('limits', 'retainer_to_seal', null, 1);
        self::assertSame('inside', $verdict());
        self::assertSame($before, Node::root($this->send('GET', '/api/catalogue'))->get('hash')->text());
    }

    /** A word of the shop's own for a link judges, is shown as such in the ledger and the library, and stays on record. */
    public function testTheShopsWordForALinkJudges(): void
    {
        $case = $this->opened();
        $this->send('POST', $case.'/entries', self::entry('finding', ['A1-E1', 'spring', 'coils_bright'], ['severity' => 2]), 201);
        $line = function () use ($case): array {
            foreach (Node::root($this->send('GET', $case.'/ledger/installed_height_small'))->get('for')->items() as $line) {
                if ($line->get('sign')->word() === 'coils_bright' && !$line->get('isSpread')->flag()) {
                    return [$line->get('decibans')->number(), $line->get('isByShopsWord')->flag()];
                }
            }
            self::fail('The sign has no line.');
        };
        $link = function (): Node {
            foreach (Node::root($this->send('GET', '/api/network'))->get('links')->items() as $link) {
                if ($link->get('code')->word() === 'coils_bright.coil_bind') {
                    return $link;
                }
            }
            self::fail('There is no such link.');
        };
        $before = Node::root($this->send('GET', '/api/catalogue'))->get('hash')->text();
        [$shipped, $isShops] = $line();
        self::assertFalse($isShops);

        $own = ['word' => 'sometimes', 'mark' => 'own', 'source' => 'Ours are polished by hand.'];
        $this->put('links', 'coils_bright.coil_bind', $own);
        [$less, $isShops] = $line();
        self::assertTrue($isShops);
        self::assertLessThan($shipped - 2, $less);
        self::assertSame(
            ['sometimes', 'nearly always', 'Ours are polished by hand.', true],
            array_map(static fn (string $key): mixed => $link()->get($key)->raw(), ['word', 'shippedWord', 'reason', 'isShops']),
        );
        self::assertNotSame($before, Node::root($this->send('GET', '/api/catalogue'))->get('hash')->text());
        $look = $this->send('POST', $case.'/entries', self::entry('look', ['A1-E1', 'valve', 'look'], ['state' => 'as_found']), 201);
        self::assertNotSame([], $look);
        $kept = Node::root($this->send('GET', $case.'/case.json'))->get('entries')->items();
        self::assertSame($before, $kept[count($kept) - 1]->get('knowledge')->word(), 'what was listed came with the program');

        $this->put('links', 'coils_bright.coil_bind', null, 1);
        [$again, $isShops] = $line();
        self::assertFalse($isShops);
        self::assertEqualsWithDelta($shipped, $again, 0.1, 'but for the valve that was looked at meanwhile');
        self::assertSame($before, Node::root($this->send('GET', '/api/catalogue'))->get('hash')->text());
        foreach ([
            '/code' => ['coils_bright.piston_contact', $own], '/content/word' => ['coils_bright.coil_bind', ['word' => 'mostly'] + $own],
            '/content/source' => ['coils_bright.coil_bind', ['source' => ' '] + $own],
            '/content/reason' => ['coils_bright.coil_bind', ['reason' => 'x'] + $own],
        ] as $pointer => [$code, $bad]) {
            self::assertSame($pointer, $this->put('links', $code, $bad, 0, 422)['pointer']);
        }
    }

    public function testLinesOfAGaugeAreTakenAllOrNone(): void
    {
        $this->put('gauges', 'height-2', ['kind' => 'height_micrometer', 'cable' => true]);
        $cable = self::getContainer()->get(GaugeCable::class);
        self::assertInstanceOf(GaugeCable::class, $cable);
        $begun = $cable->newest();
        $text = ['Content-Type' => 'application/octet-stream'];
        $lines = "reading gauge=height-2 n=1 value=1.8420 unit=in\r\n\nreading gauge=height-2 n=2 value=47 unit=mm simulated=yes\n";
        self::assertSame(['taken' => 2], $this->send('POST', '/api/gauges/lines', $lines, 202, $text));
        foreach ([
            $lines.'reading gauge=other n=3 value=1 unit=in' => '/line/4', 'reading gauge=height-2 n=3 value=1 unit=lbf' => '/line/1',
            str_repeat("reading gauge=height-2 n=3 value=1 unit=in\n", 501) => '/line/501',
        ] as $wrong => $pointer) {
            self::assertSame($pointer, Node::root($this->send('POST', '/api/gauges/lines', $wrong, 422, $text))->get('pointer')->text());
        }
        $heard = $cable->after($begun);
        self::assertSame(
            [[1, '1.8420', 'in', false], [2, '47', 'mm', true]],
            array_map(static fn (GaugeLineView $line): array => [$line->number, $line->value, $line->unit, $line->simulated], $heard),
        );
        self::assertSame([], $cable->after($heard[1]->id));
    }

    /**
     * @param array<string, mixed>|null $content
     *
     * @return array<string, mixed>
     */
    private function put(string $shelf, string $code, ?array $content, int $version = 0, int $status = 200): array
    {
        $body = ['name' => 'My '.$code, 'content' => $content, 'version' => $version, 'by' => 'tests'];

        return $this->send('PUT', sprintf('/api/library/%s/%s', $shelf, $code), $body, $status);
    }

    private function opened(): string
    {
        return '/api/cases/'.$this->newCase();
    }

    private function reading(
        string $case,
        string $item,
        string $text,
        ?string $index = null,
        ?string $gauge = null,
        int $status = 201,
    ): void {
        $part = Node::root(array_values(array_filter(
            Node::root($this->send('GET', '/api/catalogue'))->get('columns')->items(),
            static fn (Node $column): bool => $column->get('code')->text() === $item,
        ))[0]->raw())->get('part')->text();
        $this->send('POST', $case.'/entries', self::entry(
            'reading', ['A1-E1', $part, $item] + ($index === null ? [] : [3 => $index]),
            ['text' => $text] + ($gauge === null ? [] : ['gauge' => $gauge]),
        ), $status);
    }
}
