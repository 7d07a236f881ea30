<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\App\Photograph\MakeWorkingCopy;
use MuteTapper\App\Photograph\MakeWorkingCopyHandler;
use PHPUnit\Framework\Attributes\DataProvider;

final class PhotographTest extends AppTestCase
{
    private ?string $case = null;

    private static function jpeg(int $width, int $height): string
    {
        $image = imagecreatetruecolor(max(1, $width), max(1, $height));
        self::assertNotFalse($image);
        imagefilledrectangle($image, 0, 0, intdiv($width, 2), $height, (int) imagecolorallocate($image, 200, 40, 40));
        ob_start();
        imagejpeg($image);

        return (string) ob_get_clean();
    }

    /** A JPEG with an Exif block that says: turned a quarter, and taken at a place. */
    private static function turned(): string
    {
        $tiff = "II*\0\x08\0\0\0".pack('v', 2)
            .pack('vvVV', 0x0112, 3, 1, 6)
            .pack('vvVV', 0x010E, 2, 24, 38)
            .pack('V', 0)."SECRET-PLACE-51.5-N-0.1\0";
        $exif = "Exif\0\0".$tiff;
        $jpeg = self::jpeg(300, 200);

        return substr($jpeg, 0, 2)."\xFF\xE1".pack('n', \strlen($exif) + 2).$exif.substr($jpeg, 2);
    }

    /** A PNG header that promises many pixels, with nothing behind it. */
    private static function promise(int $width, int $height): string
    {
        $header = 'IHDR'.pack('NNCCCCC', $width, $height, 8, 2, 0, 0, 0);

        return "\x89PNG\r\n\x1a\n".pack('N', 13).$header.pack('N', crc32($header));
    }

    /** @return array<string, mixed> */
    private function upload(string $content, string $name, int $status = 201): array
    {
        $this->case ??= $this->newCase();

        return $this->send(
            'POST', "/api/cases/$this->case/photographs", $content, $status,
            ['X-File-Name' => rawurlencode($name), 'Content-Type' => 'application/octet-stream'],
        );
    }

    public function testTheOriginalIsKeptByteForByteAndTheWorkingCopyHasNoMetadata(): void
    {
        $original = self::turned();
        $stored = $this->upload($original, 'spring 4E.jpg');
        self::assertSame(hash('sha256', $original), $stored['sha256']);
        self::assertSame([200, 300], [$stored['width'], $stored['height']], 'As shown: the orientation is counted.');
        $handler = self::getContainer()->get(MakeWorkingCopyHandler::class);
        self::assertInstanceOf(MakeWorkingCopyHandler::class, $handler);
        $handler(new MakeWorkingCopy(self::at($stored, 'sha256')->text()));
        $this->client->request('GET', "/api/cases/$this->case/photographs/".self::at($stored, 'sha256')->text().'/original');
        self::assertSame($original, $this->client->getInternalResponse()->getContent());
        $this->client->request('GET', "/api/cases/$this->case/photographs/".self::at($stored, 'sha256')->text().'/working');
        $copy = $this->client->getInternalResponse()->getContent();
        self::assertStringNotContainsString('SECRET-PLACE', $copy);
        $size = getimagesizefromstring($copy);
        self::assertIsArray($size);
        self::assertSame([200, 300], [$size[0], $size[1]]);
    }

    public function testTheSamePictureIsKeptOnce(): void
    {
        self::assertSame($this->upload(self::jpeg(20, 20), 'a.jpg'), $this->upload(self::jpeg(20, 20), 'b.jpg'));
    }

    /** @return iterable<string, array{string, int, string}> */
    public static function bad(): iterable
    {
        yield 'a text' => ['station,height', 415, 'not a picture'];
        yield 'empty' => ['', 415, 'not a picture'];
        yield 'GIF' => ['GIF89a'.pack('vv', 1, 1)."\0\0\0;", 415, 'image/gif'];
        yield 'HEIC' => ["\0\0\0\x18ftypheic\0\0\0\0mif1heic", 415, 'HEIC'];
        yield '200 megapixels' => [self::promise(20000, 10000), 413, '200 megapixels'];
        yield 'one pixel over' => [self::promise(8001, 8000), 413, 'megapixels'];
        yield 'SVG' => ['<svg xmlns="http://www.w3.org/2000/svg"><script>1</script></svg>', 415, 'not a picture'];
    }

    #[DataProvider('bad')]
    public function testAWrongPictureIsRefusedInWords(string $content, int $status, string $words): void
    {
        $problem = $this->upload($content, 'bad.bin', $status);
        self::assertIsString($problem['detail']);
        self::assertStringContainsString($words, $problem['detail']);
        self::assertStringContainsString('JPEG, PNG and WebP', $problem['detail']);
    }

    public function testAPictureBrokenBehindItsHeaderKeepsItsOriginal(): void
    {
        $broken = self::promise(100, 100);
        $stored = $this->upload($broken, 'broken.png');
        $handler = self::getContainer()->get(MakeWorkingCopyHandler::class);
        self::assertInstanceOf(MakeWorkingCopyHandler::class, $handler);
        $handler(new MakeWorkingCopy(self::at($stored, 'sha256')->text()));
        self::assertSame(
            'failed', $this->send('GET', "/api/cases/$this->case/photographs/".self::at($stored, 'sha256')->text())['workingCopy'],
        );
        $this->client->request('GET', "/api/cases/$this->case/photographs/".self::at($stored, 'sha256')->text().'/original');
        self::assertSame($broken, $this->client->getInternalResponse()->getContent());
    }

    public function testACaseImportedWithoutItsPicturesTakesThemBackByChecksum(): void
    {
        $this->case = $case = $this->newCase();
        $picture = self::jpeg(60, 40);
        $stored = $this->upload($picture, 'a.jpg');
        $this->send(
            'POST', "/api/cases/$case/entries",
            self::entry('photograph', ['A1-E1', 'spring', 'photograph', 'x'], ['sha256' => $stored['sha256'], 'caption' => '1E spring']),
            201,
        );
        $this->client->request('GET', "/api/cases/$case/case.json");
        $document = (string) $this->client->getResponse()->getContent();
        self::ensureKernelShutdown();
        $this->setUp();
        $this->send('POST', '/api/cases/import?by=tests', $document, 201);
        self::assertSame(
            'missing', $this->send('GET', "/api/cases/$this->case/photographs/".self::at($stored, 'sha256')->text())['workingCopy'],
        );
        $this->send('GET', "/api/cases/$this->case/photographs/".self::at($stored, 'sha256')->text().'/working', null, 404);
        $this->upload($picture, 'found again.jpg');
        self::assertSame(
            'waiting', $this->send('GET', "/api/cases/$this->case/photographs/".self::at($stored, 'sha256')->text())['workingCopy'],
        );
        $this->client->request('GET', "/api/cases/$case/case.json");
        self::assertSame($document, (string) $this->client->getResponse()->getContent());
    }
}
