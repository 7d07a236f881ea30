<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\Core\Document\Node;
use MuteTapper\Tests\Outside\RunsPython;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** A case with its evidence as one package: what goes in comes out, and what does not fit is named. */
final class PackageTest extends AppTestCase
{
    use RunsPython;

    /**
     * Reads a bag by the words of RFC 8493 (https://www.rfc-editor.org/rfc/rfc8493), with nothing but Python's own library: structure,
     * both manifests complete and right, the Oxum, and annotations as the W3C's model names their members.
     */
    private const READER = <<<'PYTHON'
        import csv, hashlib, io, json, re, sys, xml.dom.minidom, zipfile
        path, = json.load(sys.stdin)
        bag = zipfile.ZipFile(path)
        assert bag.testzip() is None
        names = [name for name in bag.namelist() if not name.endswith('/')]
        base = names[0].split('/')[0] + '/'
        assert all(name.startswith(base) for name in names)
        read = lambda name: bag.read(base + name)
        assert read('bagit.txt').decode('utf-8') == 'BagIt-Version: 1.0\nTag-File-Character-Encoding: UTF-8\n'
        def manifest(name):
            lines = read(name).decode('utf-8').splitlines()
            return {line.split(None, 1)[1]: line.split(None, 1)[0] for line in lines}
        payload, tags = manifest('manifest-sha256.txt'), manifest('tagmanifest-sha256.txt')
        held = {name[len(base):] for name in names if name[len(base):].startswith('data/')}
        assert held == set(payload), held ^ set(payload)
        assert set(tags) == {'bagit.txt', 'bag-info.txt', 'manifest-sha256.txt'}
        for name, digest in list(payload.items()) + list(tags.items()):
            assert hashlib.sha256(read(name)).hexdigest() == digest, name
        info = dict(line.split(': ', 1) for line in read('bag-info.txt').decode('utf-8').splitlines())
        octets, count = info['Payload-Oxum'].split('.')
        assert int(octets) == sum(len(read(name)) for name in payload) and int(count) == len(payload)
        for name in payload:
            if name.endswith('.jsonld'):
                annotation = json.loads(read(name))
                assert annotation['@context'] == 'http://www.w3.org/ns/anno.jsonld' and annotation['type'] == 'Annotation'
                assert annotation['target']['selector']['type'] == 'SvgSelector'
                # The drawing is well-formed, and the picture that it is on is in the bag under its own sum.
                xml.dom.minidom.parseString(annotation['target']['selector']['value'])
                digest = re.search('[0-9a-f]{64}', annotation['target']['source'])[0]
                assert any(held_name.startswith('data/photographs/' + digest) for held_name in payload), digest
        # Tables by the words of CSV on the Web (https://www.w3.org/TR/tabular-metadata/): titles, key, datatypes, nulls.
        tables = [name for name in payload if name.endswith('.csv-metadata.json')]
        assert tables
        for name in tables:
            meta = json.loads(read(name))
            assert meta['@context'][0] == 'http://www.w3.org/ns/csvw'
            text = read(name.rsplit('/', 1)[0] + '/' + meta['url']).decode(meta['dialect']['encoding'])
            rows = list(csv.reader(io.StringIO(text), delimiter=meta['dialect']['delimiter']))
            columns = meta['tableSchema']['columns']
            assert rows[0] == [column['titles'] for column in columns], name
            assert len({column['name'] for column in columns}) == len(columns), name
            key = [column['name'] for column in columns].index(meta['tableSchema']['primaryKey'])
            assert len({row[key] for row in rows[1:]}) == len(rows) - 1, name
            for row in rows[1:]:
                assert len(row) == len(columns), (name, row)
                for cell, column in zip(row, columns):
                    if column['datatype'] == 'decimal' and cell not in column['null']:
                        float(cell)
                    assert cell or not column['required'], (name, row)
        print(json.dumps(sorted(payload)))
        PYTHON;

    private string $case;
    private string $zip;
    /** The case is the same each time: it is packed once. */
    private static ?string $packed = null;

    protected function setUp(): void
    {
        parent::setUp();
        $this->case = '/api/cases/'.$this->newCase();
        foreach (WorkTest::entries() as [$kind, $slot, $data]) {
            if ($kind !== 'annotation') {
                $this->send('POST', $this->case.'/entries', self::entry($kind, $slot, $data), 201);
            }
        }
        $picture = Node::root($this->send('POST', $this->case.'/photographs', self::picture(), 201, [
            'X-File-Name' => 'spring.png', 'Content-Type' => 'application/octet-stream',
        ]))->get('sha256')->word(64);
        foreach ([
            ['photograph', ['A1-E1', 'spring', 'photograph', 'x'], ['sha256' => $picture, 'caption' => 'bright coils']],
            ['annotation', ['A1-E1', 'spring', 'annotation', 'a'], [
                'sha256' => $picture, 'shape' => 'scale', 'points' => [[0, 0], [15, 0]], 'text' => '0.250',
            ]],
        ] as [$kind, $slot, $data]) {
            $this->send('POST', $this->case.'/entries', self::entry($kind, $slot, $data), 201);
        }
        $this->zip = (string) tempnam(sys_get_temp_dir(), 'package');
        if (self::$packed === null) {
            [$status, $told] = self::command('case:pack', ['case' => basename($this->case), 'file' => $this->zip]);
            self::assertSame(0, $status, $told);
            self::$packed = (string) file_get_contents($this->zip);
        }
        file_put_contents($this->zip, self::$packed);
    }

    protected function tearDown(): void
    {
        @unlink($this->zip);
        parent::tearDown();
    }

    private static function picture(): string
    {
        $image = imagecreatetruecolor(40, 30);
        self::assertNotFalse($image);
        ob_start();
        imagepng($image);

        return (string) ob_get_clean();
    }

    /** @return array<string, mixed> */
    private function unpack(string $content, int $status = 201): array
    {
        $address = '/api/cases/unpack?copy=1&by=tests&file=packed.zip';

        return $this->send('POST', $address, $content, $status, ['Content-Type' => 'application/octet-stream']);
    }

    private function cases(): int
    {
        return count(Node::root($this->send('GET', '/api/cases'))->get('rows')->items());
    }

    public function testTheSameCaseComesOutWithItsPictures(): void
    {
        $copy = $this->unpack((string) file_get_contents($this->zip));
        $content = fn (string $case): array => array_map(
            static fn (Node $entry): array => [$entry->get('kind')->text(), $entry->get('slot')->raw(), $entry->maybe('data')?->raw()],
            Node::root($this->send('GET', $case.'/case.json'))->get('entries')->items(),
        );
        $other = '/api/cases/'.self::at($copy, 'id')->text();
        self::assertSame($content($this->case), $content($other));
        $picture = self::at($copy, 'photographs/0/sha256')->text();
        $this->client->request('GET', $other.'/photographs/'.$picture.'/original');
        $response = $this->client->getResponse();
        self::assertInstanceOf(BinaryFileResponse::class, $response);
        self::assertSame($picture, hash_file('sha256', $response->getFile()->getPathname()));
        [$status, $told] = self::command('case:verify', ['file' => $this->zip]);
        self::assertSame(0, $status, $told);
        self::assertStringContainsString('"asPacked": true', $told);
    }

    /** @return iterable<string, array{int}> */
    public static function drawn(): iterable
    {
        foreach ([1, 2, 3] as $seed) {
            yield 'some entries, drawn by '.$seed => [$seed];
        }
    }

    /** Whatever is in a case: package, import, package again is the same pictures, drawings, tables and logs, byte for byte. */
    #[DataProvider('drawn')]
    public function testPackedTakenInAndPackedAgainIsTheSame(int $seed): void
    {
        mt_srand($seed);
        foreach (WorkTest::entries() as [$kind, $slot, $data]) {
            if ($kind === 'reading' && mt_rand(0, 1) === 1) {
                continue;
            }
            foreach (array_slice(['A2-I1', 'B2-E1', 'B3-I1', 'B4-E1'], mt_rand(0, 3)) as $place) {
                $entry = self::entry($kind, array_replace($slot, [$place]), $data);
                $this->client->request(
                    'POST', $this->case.'/entries', server: ['CONTENT_TYPE' => 'application/json'], content: (string) json_encode($entry),
                ); // what does not stand at a station is refused, and drawn in vain
            }
        }
        $again = [[], []];
        $case = $this->case;
        foreach ([0, 1] as $round) {
            self::assertSame(0, self::command('case:pack', ['case' => basename($case), 'file' => $this->zip])[0]);
            $zip = new \ZipArchive();
            $zip->open($this->zip);
            for ($i = 0; $i < $zip->numFiles; ++$i) {
                $name = explode('/', (string) $zip->getNameIndex($i), 3)[2] ?? '';
                $content = (string) $zip->getFromIndex($i);
                if (preg_match('#^(photographs|tables|logs)/#', $name) === 1) {
                    $again[$round][$name] = hash('sha256', $content);
                } elseif (str_starts_with($name, 'annotations/')) {
                    $drawn = Node::root(json_decode($content, true))->map();
                    unset($drawn['id']);
                    $again[$round]['annotations '.json_encode($drawn)] = '';
                }
            }
            $zip->close();
            $case = $round === 0 ? '/api/cases/'.self::at($this->unpack((string) file_get_contents($this->zip)), 'id')->text() : $case;
        }
        ksort($again[0]);
        ksort($again[1]);
        self::assertSame($again[0], $again[1]);
        self::assertGreaterThan(10, count($again[0]));
    }

    public function testOthersReadIt(): void
    {
        $files = self::python(self::READER, [$this->zip]);
        foreach (['case.json', 'report.pdf', 'report.html', 'tables/springs.csv', 'tables/springs.csv-metadata.json'] as $file) {
            self::assertContains('data/'.$file, $files);
        }
        $names = implode(' ', array_filter($files, is_string(...)));
        self::assertSame(1, preg_match_all('#data/photographs/[0-9a-f]{64}\.png#', $names), 'each picture once');
        $folder = $this->zip.'.d';
        exec(sprintf(
            'mkdir %1$s && cd %1$s && unzip -q %2$s && cd case-* && sha256sum --quiet -c manifest-sha256.txt tagmanifest-sha256.txt 2>&1; '.
            'r=$?; rm -rf %1$s; exit $r', escapeshellarg($folder), escapeshellarg($this->zip),
        ), $said, $status);
        self::assertSame([0, []], [$status, $said], 'coreutils agree');
    }

    /** @return iterable<string, array{\Closure(\ZipArchive): void, string}> what is done to the package, and what is said of it */
    public static function changed(): iterable
    {
        yield 'a byte' => [static function (\ZipArchive $zip): void {
            $name = 'case-0001/data/case.json';
            $zip->addFromString($name, str_replace('"tests"', '"tasts"', (string) $zip->getFromName($name)));
        }, '“data/case.json” is not as it was packed.'];
        yield 'a file less' => [static function (\ZipArchive $zip): void {
            $zip->deleteName('case-0001/data/report.pdf');
        }, '“data/report.pdf” is missing.'];
        yield 'a file more' => [static function (\ZipArchive $zip): void {
            $zip->addFromString('case-0001/data/extra.txt', 'x');
        }, '“data/extra.txt” stands in no manifest.'];
        yield 'a manifest that lies' => [static function (\ZipArchive $zip): void {
            $name = 'case-0001/manifest-sha256.txt';
            $zip->addFromString($name, str_repeat('0', 64)."  data/case.json\n");
        }, '“manifest-sha256.txt” is not as it was packed.'];
        yield 'a manifest that is none' => [static function (\ZipArchive $zip): void {
            $zip->addFromString('case-0001/manifest-sha256.txt', "hello\n");
        }, 'manifest-sha256.txt, line 1 is no checksum'];
        yield 'a way out' => [static function (\ZipArchive $zip): void {
            $zip->addFromString('case-0001/data/../../../etc/evil', 'x');
        }, 'would lead out of the package'];
        yield 'an absolute way out' => [static function (\ZipArchive $zip): void {
            $zip->addFromString('/etc/evil', 'x');
        }, 'would lead out of the package'];
        yield 'a bomb' => [static function (\ZipArchive $zip): void {
            $zip->addFromString('case-0001/data/zeros', str_repeat("\0", 120 * 1024 ** 2));
        }, 'no case grows like that'];
        yield 'two bags' => [static function (\ZipArchive $zip): void {
            $zip->addFromString('other/bagit.txt', 'x');
        }, 'one folder at its top'];
        yield 'another version' => [static function (\ZipArchive $zip): void {
            $zip->addFromString('case-0001/bagit.txt', "BagIt-Version: 9.9\n");
        }, 'does not say a version of BagIt'];
    }

    /** @param \Closure(\ZipArchive): void $change */
    #[DataProvider('changed')]
    public function testWhatDoesNotFitIsNamedAndNothingIsTakenIn(\Closure $change, string $words): void
    {
        $zip = new \ZipArchive();
        self::assertTrue($zip->open($this->zip));
        $change($zip);
        $zip->close();
        $before = $this->cases();
        $refused = $this->unpack((string) file_get_contents($this->zip), 422);
        self::assertStringContainsString($words, self::at($refused, 'detail')->text());
        self::assertSame($before, $this->cases());
        [$status, $told] = self::command('case:verify', ['file' => $this->zip]);
        self::assertSame(1, $status);
        self::assertStringContainsString($words, $told);
    }

    /** @return iterable<string, array{string, string}> */
    public static function foreign(): iterable
    {
        yield 'nothing' => ['', 'no ZIP archive'];
        yield 'a picture' => [self::picture(), 'no ZIP archive'];
        $path = (string) tempnam(sys_get_temp_dir(), 'zip');
        $zip = new \ZipArchive();
        $zip->open($path, \ZipArchive::OVERWRITE);
        $zip->addFromString('holiday/beach.txt', 'sun');
        $zip->close();
        $content = (string) file_get_contents($path);
        unlink($path);
        yield 'another ZIP' => [$content, 'It is no bag'];
        yield 'a ZIP that was cut off' => [substr($content, 0, -30), 'no ZIP archive, or it was cut off'];
    }

    #[DataProvider('foreign')]
    public function testWhatIsNoPackageIsRefusedInWords(string $content, string $words): void
    {
        $before = $this->cases();
        self::assertStringContainsString($words, self::at($this->unpack($content, 422), 'detail')->text());
        self::assertSame($before, $this->cases());
    }

    /** A bag whose case cannot be read leaves nothing behind, its pictures neither. */
    public function testABagWithABadCaseIsRefusedAsAWhole(): void
    {
        $zip = new \ZipArchive();
        self::assertTrue($zip->open($this->zip));
        $bad = '{"format": "another"}';
        $zip->addFromString('case-0001/data/case.json', $bad);
        $manifest = (string) $zip->getFromName('case-0001/manifest-sha256.txt');
        $manifest = (string) preg_replace('/^\w{64}(?=  data\/case\.json$)/m', hash('sha256', $bad), $manifest);
        $zip->addFromString('case-0001/manifest-sha256.txt', $manifest);
        $zip->deleteName('case-0001/tagmanifest-sha256.txt');
        $zip->close();
        $before = $this->cases();
        $refused = $this->unpack((string) file_get_contents($this->zip), 422);
        self::assertStringContainsString('case.json', self::at($refused, 'detail')->text());
        self::assertSame($before, $this->cases());
    }
}
