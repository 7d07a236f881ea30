<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\Core\Document\Node;
use Symfony\Component\DomCrawler\Crawler;

/** One figure is one figure: what `case:assess` prints stands in the report, on its PDF, on the screen and in the tables. */
final class FiguresTest extends AppTestCase
{
    private const FILE = __DIR__.'/files/version-1-eight.json';

    private string $case;
    private Crawler $page;
    private string $pdf;
    private Node $assessed;

    protected function setUp(): void
    {
        parent::setUp();
        $document = Node::root(json_decode((string) file_get_contents(self::FILE), true, 64, \JSON_THROW_ON_ERROR))->map();
        $this->case = '/api/cases/'.self::at($this->send('POST', '/api/cases/import?by=tests', $document, 201), 'id')->text();
        $this->assessed = Node::root(json_decode(self::command('case:assess', ['file' => self::FILE])[1], true, 64, \JSON_THROW_ON_ERROR));
        $this->client->request('GET', $this->case.'/report.html');
        $this->page = new Crawler((string) $this->client->getResponse()->getContent());
        $file = tempnam(sys_get_temp_dir(), 'report');
        self::assertIsString($file);
        file_put_contents($file, $this->paper($this->case, 'report'));
        $this->pdf = self::squeezed((string) shell_exec('pdftotext -raw '.escapeshellarg($file).' -'));
        unlink($file);
    }

    public function testEveryMarginIsTheSameEverywhere(): void
    {
        $shown = [];
        foreach ($this->margins() as $margin) {
            $value = $margin->get('value')->raw() === null ? '' : $margin->get('value')->get('shown')->text();
            $key = implode(' | ', [$margin->get('label')->text(), $margin->get('title')->text(), $value]);
            $shown[$key] = $margin->get('limitWords')->text().' | '.rtrim($margin->get('verdictWords')->text(), '.');
        }
        $printed = 0;
        foreach (['Margins', 'Before it came apart'] as $section) {
            foreach ($this->rowsUnder($section) as $row) {
                if (count($row) !== 6 || in_array($row[0], ['station', 'where'], true)) {
                    continue;
                }
                $key = implode(' | ', [$row[0], $row[1], $row[2]]);
                self::assertArrayHasKey($key, $shown, 'printed, and not assessed so');
                self::assertSame($shown[$key], $row[4].' | '.rtrim($row[5], '.'));
                self::assertStringContainsString(self::squeezed($row[2]), $this->pdf, 'on the page, and not in the PDF');
                ++$printed;
            }
        }
        self::assertGreaterThan(20, $printed);
        $unlike = array_slice($this->rowsUnder('What does not match'), 1);
        $told = Node::root($this->send('GET', $this->case.'/mismatches'))->items();
        self::assertSame(count($told), count($unlike));
        foreach ($told as $i => $one) {
            self::assertStringContainsString($one->get('one')->get('shown')->text(), $unlike[$i][1]);
            self::assertStringContainsString($one->get('other')->get('shown')->text(), $unlike[$i][2]);
            self::assertSame($one->get('difference')->raw() === null ? '' : $one->get('difference')->get('shown')->text(), $unlike[$i][3]);
        }
        self::assertNotSame([], $told);
        // The screen has them from the same place, under the same names.
        $onScreen = [];
        foreach ($this->margins(Node::root(['sheets' => $this->sheets()])) as $margin) {
            $onScreen[] = self::named($margin);
        }
        $assessed = array_map(self::named(...), $this->margins());
        sort($assessed);
        sort($onScreen);
        self::assertSame($assessed, $onScreen);
        self::assertGreaterThan(100, count($assessed));
    }

    public function testTheJudgementIsTheSameEverywhere(): void
    {
        $ranking = $this->assessed->get('ranking');
        $rows = array_column($this->rowsUnder('The reasoning'), 1, 0);
        $told = 0;
        foreach ($ranking->get('causes')->items() as $cause) {
            $share = $cause->get('probability')->number();
            $line = sprintf(
                '%s (%s, %s)', $cause->get('label')->text(), $cause->get('familyLabel')->text(), $cause->get('region')->text(),
            );
            if (isset($rows[$line])) {
                self::assertSame(round(100 * $share).' %', $rows[$line]);
                ++$told;
            }
        }
        self::assertGreaterThan(0, $told);
        self::assertSame(round(100 * $ranking->get('unexplained')->number()).' %', $rows['Not explained by anything listed']);
        self::assertStringContainsString(self::squeezed($ranking->get('sentence')->text()), $this->pdf);
        foreach ($this->assessed->get('ledgers')->items() as $ledger) {
            $on = Node::root($this->send('GET', $this->case.'/ledger/'.$ledger->get('cause')->text()));
            self::assertEquals($ledger->get('for')->raw(), $on->get('for')->raw(), 'on the screen');
            if (!str_contains($this->pdf, self::squeezed($ledger->get('label')->text().': evidence for and against'))) {
                continue; // it leads, and another is called
            }
            $lines = [];
            foreach (['for', 'against'] as $side) {
                foreach ($ledger->get($side)->items() as $line) {
                    $lines[$side.': '.$line->get('words')->text()] = $line->get('factor')->text();
                }
            }
            $printed = array_column($this->rowsUnder('The reasoning'), 1, 0);
            foreach ($lines as $words => $factor) {
                self::assertSame($factor, $printed[$words] ?? null, $words);
                self::assertStringContainsString(self::squeezed($words), $this->pdf);
            }
            self::assertNotSame([], $lines);
        }
    }

    /** Each figure of the printed tables is that of the table that is exported, rounded as its gauge reads. */
    public function testEveryReadingIsTheSameEverywhere(): void
    {
        $tables = [];
        foreach ($this->sheets() as $sheet) {
            $layout = Node::root($sheet);
            $this->client->request('GET', $this->case.'/sheets/'.$layout->get('code')->text().'/readings.csv');
            foreach (explode("\r\n", (string) $this->client->getResponse()->getContent()) as $i => $line) {
                $cells = str_getcsv($line, ',', '"', '');
                if ($i > 0 && is_string($cells[0])) {
                    $title = $layout->get('title')->text();
                    $all = array_map(static fn (?string $cell): float => (float) $cell, array_slice($cells, 1));
                    $tables[$title][$cells[0]] = [...$tables[$title][$cells[0]] ?? [], ...$all];
                }
            }
        }
        $compared = 0;
        $this->page->filterXPath('//div[@class="sheet"]')->each(function (Crawler $sheet) use ($tables, &$compared): void {
            $head = $sheet->filterXPath('.//h3')->text(); // the title, and the coil where there is a page for each
            $titles = array_filter(
                array_keys($tables), static fn (string $one): bool => $head === $one || str_starts_with($head, $one.', '),
            );
            self::assertNotSame([], $titles, $head.' is no sheet.');
            $title = array_values($titles)[0];
            foreach ($sheet->filterXPath('.//tr')->each(self::cells(...)) as $row) {
                foreach (array_slice($row, 1) as $cell) {
                    if (preg_match('/^-?\d+(\.(\d+))?( at|$)/', $cell, $figure) === 1) {
                        $half = 0.51 * 10 ** -strlen($figure[2]);
                        $near = array_filter(
                            $tables[$title][$row[0]] ?? [], static fn (float $one): bool => abs($one - (float) $cell) <= $half,
                        );
                        self::assertNotSame([], $near, sprintf('%s of %s is %s in no table.', $title, $row[0], $cell));
                        self::assertStringContainsString(self::squeezed($cell), $this->pdf);
                        ++$compared;
                    }
                }
            }
        });
        self::assertGreaterThan(100, $compared);
        $heads = $this->page->filterXPath('//div[@class="sheet"]//th')->each(static fn (Crawler $head): string => $head->text());
        self::assertCount(
            1, array_filter($heads, static fn (string $head): bool => str_starts_with($head, 'installed height')),
            'a column that stands on two sheets is printed once',
        );
    }

    /** @return list<Node> */
    private function margins(?Node $of = null): array
    {
        $margins = [];
        foreach (($of ?? $this->assessed)->get('sheets')->members() as $sheet) {
            $margins = [...$margins, ...$sheet->get('margins')->items()];
        }

        return $margins;
    }

    private static function named(Node $margin): string
    {
        return (string) json_encode(array_intersect_key($margin->map(), array_flip(
            ['place', 'coil', 'quantity', 'verdict', 'probabilityGood', 'value', 'limitWords', 'spoken'],
        )));
    }

    /** @return array<string, mixed> by code */
    private function sheets(): array
    {
        $sheets = [];
        foreach (Node::root($this->send('GET', $this->case.'/sheets'))->items() as $layout) {
            $code = $layout->get('code')->text();
            $sheets[$code] = $this->send('GET', $this->case.'/sheets/'.$code);
        }

        return $sheets;
    }

    /** @return list<list<string>> cells of every table row between a heading and the next */
    private function rowsUnder(string $heading): array
    {
        $rows = [];
        $isHere = false;
        foreach ($this->page->filterXPath('//h2|//tr') as $element) {
            if ($element->nodeName === 'h2') {
                $isHere = trim($element->textContent) === $heading;
            } elseif ($isHere) {
                $rows[] = self::cells(new Crawler($element));
            }
        }

        return $rows;
    }

    /** @return list<string> */
    private static function cells(Crawler $row): array
    {
        return $row->children()->each(static fn (Crawler $cell): string => trim($cell->text()));
    }

    /** Line ends and spaces are the page's own matter. */
    private static function squeezed(string $text): string
    {
        return (string) preg_replace('/[\s\x{A0}\x{AD}-]+/u', '', $text);
    }
}
