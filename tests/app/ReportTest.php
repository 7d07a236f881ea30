<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\Core\Document\Node;

final class ReportTest extends AppTestCase
{
    public function testThePdfHasRealTextAndPictures(): void
    {
        $case = $this->newCase();
        $this->send(
            'PUT', "/api/cases/$case/description",
            [
                'name' => 'Made-up eight', 'story' => ['words' => 'It ticked & then <stopped>.', 'failed' => ['A1-E1']],
                'settings' => ['units' => 'inch', 'school' => 'usual'], 'by' => 'tests',
            ],
            200, ['If-Match' => '"1"'],
        );
        foreach ([
            '1.720' => ['spring_seat', 'installed_height', null], '1.150' => ['spring', 'bind_height', 'outer'],
            '0.565' => ['valve', 'net_lift', null],
        ] as $text => [$part, $item, $index]) {
            $this->send(
                'POST', "/api/cases/$case/entries",
                [
                    'slot' => ['place' => 'A1-E1', 'part' => $part, 'item' => $item, 'index' => $index],
                ] + self::entry('reading', ['A1-E1', $part, $item], ['text' => $text]),
                201,
            );
        }
        $this->send(
            'POST', "/api/cases/$case/entries", self::entry('finding', ['A1-E1', 'spring', 'coils_bright'], ['severity' => 3]), 201,
        );
        $image = imagecreatetruecolor(300, 200);
        self::assertNotFalse($image);
        ob_start();
        imagepng($image);
        $stored = $this->send(
            'POST', "/api/cases/$case/photographs", (string) ob_get_clean(), 201, ['Content-Type' => 'application/octet-stream'],
        );
        $this->send(
            'POST', "/api/cases/$case/entries",
            self::entry('photograph', ['A1-E1', 'spring', 'photograph', 'x'], ['sha256' => $stored['sha256'], 'caption' => '1E spring']),
            201,
        );

        $pdf = $this->paper("/api/cases/$case", 'report');
        self::assertSame('application/pdf', $this->client->getResponse()->headers->get('Content-Type'));
        $file = tempnam(sys_get_temp_dir(), 'report');
        self::assertIsString($file);
        file_put_contents($file, $pdf);
        $text = (string) shell_exec('pdftotext -layout '.escapeshellarg($file).' -');
        $images = (string) shell_exec('pdfimages -list '.escapeshellarg($file));
        $fonts = (string) shell_exec('pdffonts '.escapeshellarg($file));
        $info = (string) shell_exec('pdfinfo '.escapeshellarg($file));
        $meta = (string) shell_exec('pdfinfo -meta '.escapeshellarg($file));
        $tags = (string) shell_exec('pdfinfo -struct-text '.escapeshellarg($file));
        $outline = (string) shell_exec('pdftohtml -q -i -s -stdout -xml '.escapeshellarg($file));
        unlink($file);
        foreach ([
            'Made-up eight', 'It ticked & then <stopped>.', 'No call has been made yet', 'travel to bind', '0.005', 'Measurements', '1.720',
            '1.150', '0.565', 'adjacent coils bright', '1E spring', 'Cautions', 'Not explained by anything listed',
            substr(self::at($stored, 'sha256')->text(), 0, 32),
        ] as $words) {
            self::assertStringContainsString($words, $text);
        }
        self::assertMatchesRegularExpression('/image\s+300\s+200/', $images);
        // Read by a program that knows nothing of the one that made it: tags, bookmarks, fonts in the file.
        self::assertMatchesRegularExpression('/^Tagged: +yes$/m', $info);
        self::assertMatchesRegularExpression('/^Title: +Case 0001: Made-up eight$/m', $info);
        self::assertMatchesRegularExpression('/pdfuaid:part="?>?1/', $meta, 'it says that it keeps to PDF/UA-1');
        foreach (['H1', 'H2', 'P', 'Table', 'TR', 'TH', 'TD'] as $tag) {
            self::assertMatchesRegularExpression('/^\s*'.$tag.'\b/m', $tags, $tag.' is not tagged');
        }
        self::assertStringContainsString('"travel to bind"', $tags, 'a cell of a table, in the order in which it is read');
        self::assertMatchesRegularExpression('/<outline>.*The call.*What happened.*Margins.*Cautions/s', $outline);
        self::assertStringContainsString('Sofia-Sans', $fonts);
        foreach (array_slice(explode("\n", trim($fonts)), 2) as $font) {
            self::assertMatchesRegularExpression('/ yes (yes|no ) yes /', $font, 'a font is not in the file, or its text cannot be read');
        }
        self::assertStringNotContainsString('?', (string) preg_replace('/\?\)/', '', $text), 'No glyph is missing.');
    }

    private function page(string $case, string $for = ''): string
    {
        $this->client->request('GET', "/api/cases/$case/report.html".($for === '' ? '' : '?for='.$for));
        self::assertSame(200, $this->client->getResponse()->getStatusCode());
        $html = (string) preg_replace('/<style>.*<\/style>/sU', '', (string) $this->client->getResponse()->getContent());

        return (string) preg_replace('/\s+/', ' ', html_entity_decode(strip_tags($html), \ENT_QUOTES | \ENT_HTML5));
    }

    /** The same facts to everyone; what a reader does not need is left out, and said to be. */
    public function testItIsForACustomerASupplierOrAnInsurer(): void
    {
        $case = $this->newCase();
        $this->send('POST', "/api/cases/$case/entries", self::height('1.720', 'A1-E1'), 201);
        foreach ([[['A1-E1', 'spring', 'bind_height', 'outer'], '1.150'], [['A1-E1', 'valve', 'net_lift'], '0.565']] as [$slot, $text]) {
            $this->send('POST', "/api/cases/$case/entries", self::entry('reading', $slot, ['text' => $text]), 201);
        }
        $this->send(
            'POST', "/api/cases/$case/entries", self::entry('reuse', ['A1-E1', 'valve', 'reuse'], ['decision' => 'replace']), 201,
        );
        $sections = [
            'Measurements' => ['insurer', 'supplier'], 'Gauges' => ['insurer', 'supplier'],
            'Limits and where they come from' => ['insurer', 'supplier'], 'What goes back in' => ['insurer', 'customer'],
            'Margins' => ['insurer', 'supplier', 'customer'], 'Still open' => ['insurer', 'supplier', 'customer'],
        ];
        foreach (['insurer', 'supplier', 'customer'] as $for) {
            $page = $this->page($case, $for);
            foreach ($sections as $section => $readers) {
                self::assertSame(in_array($for, $readers, true), str_contains($page, ' '.$section.' '), $section.' for the '.$for);
            }
            self::assertSame($for !== 'insurer', str_contains($page, 'Left out here, and kept with the case:'));
        }
        self::assertSame($this->page($case), $this->page($case, 'insurer'), 'who asks for nobody gets everything');
        self::assertStringContainsString('Practitioners differ', $this->page($case), 'limits name where they come from');
        $this->client->request('GET', "/api/cases/$case/report.html?for=neighbour");
        self::assertSame(422, $this->client->getResponse()->getStatusCode());
        self::assertStringContainsString('A report is for a customer', (string) $this->client->getResponse()->getContent());
        $asked = $this->send('POST', "/api/cases/$case/papers", ['kind' => 'report', 'options' => ['for' => 'neighbour']], 422);
        self::assertSame('/options/for', self::at($asked, 'pointer')->text());
    }

    /** A report that follows another says what changed: by what was recorded after the one before was given out. */
    public function testAReportThatFollowsAnotherSaysWhatChanged(): void
    {
        $case = $this->newCase();
        $height = $this->send('POST', "/api/cases/$case/entries", self::height('1.720', 'A1-E1'), 201);
        $bind = $this->send(
            'POST', "/api/cases/$case/entries",
            self::entry('reading', ['A1-E1', 'spring', 'bind_height', 'outer'], ['text' => '1.150']), 201,
        );
        $bright = self::entry('finding', ['A1-E1', 'spring', 'coils_bright'], ['severity' => 1]);
        $seen = $this->send('POST', "/api/cases/$case/entries", $bright, 201);
        self::assertStringNotContainsString('Changed since', $this->page($case));
        $content = Node::root($this->send('GET', "/api/cases/$case/news"))->get('content')->text();
        $this->send(
            'POST', "/api/cases/$case/entries", self::entry('issue', ['engine', 'report', 'issue', '1'], ['whom' => 'Made-up garage']), 201,
        );
        self::assertSame($content, Node::root($this->send('GET', "/api/cases/$case/news"))->get('content')->text(), 'no evidence');
        self::assertStringContainsString('Failure report 1, case 0001', $this->page($case));
        self::assertStringNotContainsString('Changed since', $this->page($case), 'nothing was recorded since');

        $again = static fn (mixed $first, array $entry): array => ['supersedes' => self::at($first, 'entry/id')->text()] + $entry;
        $this->send('POST', "/api/cases/$case/entries", $again($height, self::height('1.735', 'A1-E1')), 201);
        $this->send('POST', "/api/cases/$case/entries", self::height('1.800', 'B1-E1'), 201);
        $same = self::entry('finding', ['A1-E1', 'spring', 'coils_bright'], ['severity' => 1]);
        $this->send('POST', "/api/cases/$case/entries", $again($seen, $same), 201);
        $this->send('POST', "/api/cases/$case/entries", $again(
            $bind, self::entry('withdrawal', ['A1-E1', 'spring', 'bind_height', 'outer'], []),
        ), 201);
        $this->send('POST', "/api/cases/$case/entries", self::entry(
            'custody', ['A1-E1', 'spring', 'custody'], ['where' => 'laboratory', 'whom' => 'Made-up lab'],
        ), 201);
        $call = ['causes' => ['spring_weak'], 'words' => 'It has set.', 'confidence' => 85, 'by' => 'R. Test'];
        $this->send('PUT', "/api/cases/$case/call", $call, 200, ['If-Match' => '"1"']);
        $this->send('POST', "/api/cases/$case/call/signature", ['by' => 'R. Test'], 200, ['If-Match' => '"2"']);
        $page = $this->page($case, 'customer');
        foreach ([
            'Hand-over of the spring at 1E: at the laboratory, Made-up lab, new.',
            'Failure report 2, case 0001', 'takes the place of report 1 of', 'to Made-up garage.',
            'Installed height at 1E: 1.735 in, was 1.720 in.', 'Installed height at 2E: 1.800 in, new.',
            'Bind height at 1E, outer: taken back, it was 1.150 in.', 'The call was signed anew by R. Test:', '85 % sure.',
        ] as $line) {
            self::assertStringContainsString($line, $page);
        }
        self::assertStringNotContainsString('Adjacent coils bright', $page, 'what was seen again as it was is no change');
        $refused = $this->send(
            'POST', "/api/cases/$case/entries", self::entry('issue', ['engine', 'report', 'issue', 'x'], ['whom' => 'a']), 422,
        );
        self::assertSame('/slot', self::at($refused, 'pointer')->text());
    }

    /** Until it is signed, and when it was changed since, it is a draft. */
    public function testItIsADraftUntilItIsSigned(): void
    {
        $case = $this->newCase();
        self::assertStringContainsString('Draft, not signed', $this->page($case));
        $call = ['causes' => ['spring_weak'], 'words' => 'It has set.', 'confidence' => 85, 'by' => 'R. Test'];
        $this->send('PUT', "/api/cases/$case/call", $call, 200, ['If-Match' => '"1"']);
        self::assertStringContainsString('Draft, not signed', $this->page($case));
        $this->send('POST', "/api/cases/$case/call/signature", ['by' => 'R. Test'], 200, ['If-Match' => '"2"']);
        self::assertStringNotContainsString('Draft, not signed', $this->page($case));
        $this->send('PUT', "/api/cases/$case/call", ['words' => 'It has set, a little.'] + $call, 200, ['If-Match' => '"2"']);
        self::assertStringContainsString('Draft, not signed', $this->page($case));
    }

    public function testAnEmptyCaseHasAReportToo(): void
    {
        $case = $this->newCase();
        $this->client->request('GET', "/api/cases/$case/report.html");
        self::assertResponseIsSuccessful();
        self::assertStringContainsString('The story has not been written down', (string) $this->client->getResponse()->getContent());
    }
}
