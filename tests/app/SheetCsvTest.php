<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\Core\Document\Node;

/** Sheets out to spreadsheets and in from them. */
final class SheetCsvTest extends AppTestCase
{
    public function testOutAndInAgain(): void
    {
        $case = '/api/cases/'.$this->newCase();
        foreach ([['A1-E1', '1.898'], ['A1-I1', '48.2 mm'], ['B2-E1', '1.9']] as [$place, $text]) {
            $this->send('POST', $case.'/entries', self::height($text, $place), 201);
        }
        $csv = $this->csv($case, 'heights');
        [$head, $first, $second] = array_map(static fn (string $line): array => str_getcsv($line, ',', '"', ''), explode("\r\n", $csv));
        self::assertSame(['place', 'installed height (in)'], array_slice($head, 0, 2));
        self::assertSame(['1E', '1.898'], array_slice($first, 0, 2));
        // As typed where the unit is the column's, else with a digit more than was known.
        self::assertSame(['1I', '1.8976'], array_slice($second, 0, 2));
        self::assertStringEndsWith("\r\n", $csv);

        $told = Node::root($this->read($case, 'heights', $csv));
        self::assertSame([], $told->get('refusals')->raw());
        $cells = array_map(
            static fn (Node $cell): array => [$cell->get('place')->text(), $cell->get('item')->text(), $cell->get('text')->text()],
            $told->get('cells')->items(),
        );
        self::assertEqualsCanonicalizing([
            ['A1-E1', 'installed_height', '1.898 in'], ['A1-I1', 'installed_height', '1.8976 in'], ['B2-E1', 'installed_height', '1.9 in'],
        ], $cells);
    }

    public function testWhatIsNoFigureAndWhatWasKeptComeThrough(): void
    {
        $case = '/api/cases/'.$this->newCase();
        foreach (['A1-E1' => 'worn', 'A1-I1' => '4.2 ! a marine head', 'A2-E1' => '1.9'] as $place => $text) {
            $this->send('POST', $case.'/entries', self::height($text, $place), 201);
        }
        $this->send('POST', $case.'/entries', self::entry('reading', ['A1-E1', 'spring', 'load_seat', 'outer'], [
            'text' => '900 lb ! pressed at the wrong place', 'atText' => '1.900',
        ]), 201);
        $heights = Node::root($this->read($case, 'heights', $this->csv($case, 'heights')));
        self::assertSame([], $heights->get('refusals')->raw());
        self::assertSame(['worn', '4.2 in ! a marine head', '1.9 in'], array_map(
            static fn (array $cell): string => $cell[1], self::cells($heights, 'installed_height'),
        ));
        $columns = Node::root($this->send('GET', $case.'/sheets/heights/readings.csv-metadata.json'))->get('tableSchema')->get('columns');
        self::assertSame('string', $columns->items()[1]->get('datatype')->text());
        self::assertSame(['', 'worn', 'missing', 'unreachable'], $columns->items()[1]->get('null')->raw());
        $loads = Node::root($this->read($case, 'springs', $this->csv($case, 'springs')));
        self::assertSame([], $loads->get('refusals')->raw());
        self::assertSame('900 lbf ! pressed at the wrong place', self::cells($loads, 'load_seat')[0][1]);
    }

    /** Every column is described, with its unit, under the title that stands over it. */
    public function testTheDescription(): void
    {
        $case = '/api/cases/'.$this->newCase();
        foreach (['heights', 'springs', 'guides', 'pulls'] as $sheet) {
            $titles = str_getcsv(explode("\r\n", $this->csv($case, $sheet))[0], ',', '"', '');
            $described = Node::root($this->send('GET', $case.'/sheets/'.$sheet.'/readings.csv-metadata.json'));
            self::assertSame('http://www.w3.org/ns/csvw', $described->get('@context')->items()[0]->text());
            $columns = $described->get('tableSchema')->get('columns')->items();
            self::assertSame($titles, array_map(static fn (Node $column): string => $column->get('titles')->text(), $columns));
            $names = array_map(static fn (Node $column): string => $column->get('name')->text(), $columns);
            self::assertSame($names, array_unique($names));
        }
        $this->send('GET', $case.'/sheets/none/readings.csv-metadata.json', null, 404);
    }

    /** Semicolons, commas for points, millimetres in the head, columns in an order and under names of their own, and one too many. */
    public function testATableOfAnotherHand(): void
    {
        $case = '/api/cases/'.$this->newCase();
        $text = "\u{FEFF}Ventil;Bemerkung;Height installed [mm];pocket;seal top\n1E;gut;48,21;39,85;\n1i;;48,20;39,84;22,4\n\n";
        $told = Node::root($this->read($case, 'heights', $text));
        self::assertSame(['place', '', 'installed_height', '', 'seal_height'], $told->get('mapping')->raw());
        self::assertSame(
            [['A1-E1', '48.21 mm', 2], ['A1-I1', '48.20 mm', 3]],
            self::cells($told, 'installed_height'),
        );
        // Without a unit in its head it is taken as inches, and 22.4 inches are no seal top.
        self::assertSame(
            [3, 'seal top'],
            [$told->get('refusals')->items()[0]->get('line')->raw(), $told->get('refusals')->items()[0]->get('column')->raw()],
        );
        // What the head did not tell is said by hand.
        $told = Node::root($this->read($case, 'heights', $text, ['place', '', 'installed_height', 'pocket_diameter', '']));
        self::assertCount(2, $told->get('refusals')->items());
        $metric = str_replace('pocket', 'pocket (mm)', $text);
        $told = Node::root($this->read($case, 'heights', $metric, ['place', '', 'installed_height', 'pocket_diameter', '']));
        self::assertSame([], $told->get('refusals')->raw());
        self::assertSame([['A1-E1', '39.85 mm', 2], ['A1-I1', '39.84 mm', 3]], self::cells($told, 'pocket_diameter'));
    }

    /** A load goes out and comes in with its height; one that stands alone waits for the height of its column. */
    public function testLoadsHaveTheirHeight(): void
    {
        $case = '/api/cases/'.$this->newCase();
        $load = self::entry('reading', ['A1-E1', 'spring', 'load_seat', 'outer'], ['text' => '168.5', 'atText' => '48.2 mm']);
        $this->send('POST', $case.'/entries', $load, 201);
        self::assertStringContainsString('168.5 at 48.2 mm', $csv = $this->csv($case, 'springs'));
        $cell = Node::root($this->read($case, 'springs', $csv))->get('cells')->items()[0];
        self::assertSame(['168.5 lbf', '48.2 mm'], [$cell->get('text')->text(), $cell->get('atText')->text()]);
        $told = Node::root($this->read($case, 'springs', "place,seat load outer\n1E,168\n1I,170 @ 9\n"));
        self::assertNull($told->get('cells')->items()[0]->get('atText')->raw());
        self::assertSame(3, $told->get('refusals')->items()[0]->get('line')->raw());
    }

    public function testSpringsGoByTheirCoil(): void
    {
        $case = '/api/cases/'.$this->newCase();
        $told = Node::root($this->read($case, 'springs', "station,free height outer,free height inner\n1E,2.250,2.110\n"));
        self::assertSame(['place', 'free_height.outer', 'free_height.inner'], $told->get('mapping')->raw());
        self::assertSame(
            ['outer', 'inner'], array_map(static fn (Node $cell): string => $cell->get('index')->text(), $told->get('cells')->items()),
        );
    }

    /** What cannot be taken is named by line and column, and nothing of the table is recorded by reading it. */
    public function testABadTable(): void
    {
        $case = '/api/cases/'.$this->newCase();
        foreach ([
            ["place,installed height\n9E,1.9\n1E,1.9\n1E,1.9\n1I,about two\n2E,45\n", [
                [2, 'place'], [4, 'place'], [5, 'installed height'], [6, 'installed height'],
            ]],
            ["a,b\n1,2\n", [[1, '']]],
            ['', [[1, '']]],
        ] as [$text, $expected]) {
            $refusals = Node::root($this->read($case, 'heights', $text))->get('refusals')->items();
            self::assertSame($expected, array_map(
                static fn (Node $one): array => [$one->get('line')->raw(), $one->get('column')->raw()], $refusals,
            ));
        }
        $twice = Node::root($this->read($case, 'heights', "place,a,b\n1E,1.9,1.9\n", ['place', 'installed_height', 'installed_height']));
        self::assertSame('b', $twice->get('refusals')->items()[0]->get('column')->raw());
        self::assertSame([], Node::root($this->send('GET', $case))->get('entries')->raw());
        $this->send('POST', $case.'/sheets/heights/csv', ['text' => str_repeat('x', 1_000_001)], 422);
        $this->send('POST', $case.'/sheets/none/csv', ['text' => 'x'], 404);
    }

    private function csv(string $case, string $sheet): string
    {
        $this->client->request('GET', sprintf('%s/sheets/%s/readings.csv', $case, $sheet));
        self::assertSame(200, $this->client->getResponse()->getStatusCode());

        return (string) $this->client->getResponse()->getContent();
    }

    /**
     * @param list<string>|null $mapping
     *
     * @return array<string, mixed>
     */
    private function read(string $case, string $sheet, string $text, ?array $mapping = null): array
    {
        $body = ['text' => $text] + ($mapping === null ? [] : ['mapping' => $mapping]);

        return $this->send('POST', sprintf('%s/sheets/%s/csv', $case, $sheet), $body);
    }

    /** @return list<array{string, string, mixed}> place, text and line of what would be recorded of a value */
    private static function cells(Node $told, string $item): array
    {
        $cells = [];
        foreach ($told->get('cells')->items() as $cell) {
            if ($cell->get('item')->text() === $item) {
                $cells[] = [$cell->get('place')->text(), $cell->get('text')->text(), $cell->get('line')->raw()];
            }
        }

        return $cells;
    }
}
