<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

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
        unlink($file);
        foreach ([
            'Made-up eight', 'It ticked & then <stopped>.', 'No call has been made yet', 'travel to bind', '0.005', 'Measurements', '1.720',
            '1.150', '0.565', 'adjacent coils bright', '1E spring', 'Cautions', 'Not explained by anything listed',
            substr(self::at($stored, 'sha256')->text(), 0, 32),
        ] as $words) {
            self::assertStringContainsString($words, $text);
        }
        self::assertMatchesRegularExpression('/image\s+300\s+200/', $images);
        self::assertStringContainsString('SofiaSans', $fonts);
        self::assertStringNotContainsString('?', (string) preg_replace('/\?\)/', '', $text), 'No glyph is missing.');
    }

    public function testAnEmptyCaseHasAReportToo(): void
    {
        $case = $this->newCase();
        $this->client->request('GET', "/api/cases/$case/report.html");
        self::assertResponseIsSuccessful();
        self::assertStringContainsString('The story has not been written down', (string) $this->client->getResponse()->getContent());
    }
}
