<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\App\Door\Door;
use MuteTapper\App\Door\ShopKeys;
use MuteTapper\App\Simulated\BenchCamera;
use MuteTapper\App\Simulated\PartPicture;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Cache\Adapter\ArrayAdapter;
use Symfony\Component\Uid\Uuid;

/** Who comes in: the shop's own pages, programs that show the device word, and on a network devices that told the shop word. */
final class DoorTest extends AppTestCase
{
    private const ENGINE = ['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 2];

    protected function tearDown(): void
    {
        unset($_ENV['MUTE_TAPPER_LAN'], $_SERVER['MUTE_TAPPER_LAN']);
        parent::tearDown();
    }

    /** @param array<string, string> $server */
    private function ask(string $method, string $address, array $server, string $body = ''): int
    {
        $this->client->request($method, $address, [], [], $server, $body);
        $response = $this->client->getResponse();
        if ($response->getStatusCode() >= 400) {
            self::assertSame('application/problem+json', $response->headers->get('Content-Type'));
        }

        return $response->getStatusCode();
    }

    private static function keys(): ShopKeys
    {
        $keys = self::getContainer()->get(ShopKeys::class);
        self::assertInstanceOf(ShopKeys::class, $keys);

        return $keys;
    }

    private static function newCaseBody(): string
    {
        return json_encode(['id' => Uuid::v7()->toRfc4122(), 'name' => 'x', 'engine' => self::ENGINE, 'by' => 'x'], \JSON_THROW_ON_ERROR);
    }

    /** @return iterable<string, array{array<string, string>, int}> server variables, status */
    public static function callers(): iterable
    {
        $json = ['CONTENT_TYPE' => 'application/json', 'HTTP_CONTENT_LENGTH' => '100'];
        yield 'a page of this shop' => [$json + ['HTTP_ORIGIN' => 'http://localhost'], 201];
        yield 'a page of another origin' => [$json + ['HTTP_ORIGIN' => 'http://evil.example'], 403];
        yield 'a page of another port' => [$json + ['HTTP_ORIGIN' => 'http://localhost:8081'], 403];
        yield 'a page that hides its origin' => [$json + ['HTTP_ORIGIN' => 'null'], 403];
        yield 'a program without the device word' => [$json, 403];
        yield 'a program with a wrong word' => [$json + ['HTTP_X_DEVICE_WORD' => 'please'], 403];
        yield 'a form of this shop' => [
            [
                'CONTENT_TYPE' => 'application/x-www-form-urlencoded', 'HTTP_CONTENT_LENGTH' => '100', 'HTTP_ORIGIN' => 'http://localhost',
            ], 415,
        ];
        yield 'plain text' => [
            ['CONTENT_TYPE' => 'text/plain', 'HTTP_CONTENT_LENGTH' => '100', 'HTTP_ORIGIN' => 'http://localhost'], 415,
        ];
        yield 'another name for the shop' => [$json + ['HTTP_HOST' => 'evil.example', 'HTTP_ORIGIN' => 'http://evil.example'], 421];
    }

    /** @param array<string, string> $server */
    #[DataProvider('callers')]
    public function testNothingIsChangedByAnotherOrigin(array $server, int $status): void
    {
        self::assertSame($status, $this->ask('POST', '/api/cases', $server, self::newCaseBody()));
        self::assertSame($status === 201 ? 1 : 0, self::at($this->send('GET', 'http://localhost/api/cases'), 'counts/all')->whole(0, 9));
    }

    public function testAProgramShowsTheDeviceWord(): void
    {
        $server = ['CONTENT_TYPE' => 'application/json', 'HTTP_X_DEVICE_WORD' => self::keys()->deviceWord()];
        self::assertSame(201, $this->ask('POST', '/api/cases', $server, self::newCaseBody()));
    }

    public function testAnotherNameForTheShopReadsNothing(): void
    {
        self::assertSame(421, $this->ask('GET', '/api/cases', ['HTTP_HOST' => 'evil.example']));
        self::assertSame(200, $this->ask('GET', '/api/cases', ['HTTP_HOST' => '127.0.0.1:8740']));
    }

    public function testOnANetworkADeviceTellsTheShopWordOnce(): void
    {
        $word = self::keys()->shopWord();
        self::assertMatchesRegularExpression('/^[a-z]{4}(-[a-z]{4}){3}$/', $word);
        self::ensureKernelShutdown();
        $_ENV['MUTE_TAPPER_LAN'] = $_SERVER['MUTE_TAPPER_LAN'] = '1';
        $this->client = self::createClient();
        $json = ['CONTENT_TYPE' => 'application/json', 'HTTP_ORIGIN' => 'http://localhost'];
        foreach (['/api/cases', '/api/catalogue', '/api/state', '/api/cases/x/case.json'] as $address) {
            self::assertSame(401, $this->ask('GET', $address, []), $address);
        }
        self::assertSame(401, $this->ask('POST', '/api/cases', $json, self::newCaseBody()));
        self::assertFalse($this->send('GET', '/api/door')['open']);
        $this->send('POST', '/api/door', ['word' => 'not the word'], 401);
        self::assertSame(403, $this->ask('POST', '/api/door', ['HTTP_ORIGIN' => 'http://evil.example'] + $json, '{}'));
        $this->client->getCookieJar()->clear();
        $forged = str_repeat('0', 24).'.'.str_repeat('0', 64);
        self::assertSame(401, $this->ask('GET', '/api/cases', ['HTTP_COOKIE' => Door::COOKIE.'='.$forged]));
        $this->send('POST', '/api/door', ['word' => strtoupper(str_replace('-', ' ', $word))]);
        $cookie = $this->client->getCookieJar()->get(Door::COOKIE);
        self::assertNotNull($cookie);
        self::assertSame([true, 'strict'], [$cookie->isHttpOnly(), $cookie->getSameSite()]);
        self::assertStringNotContainsString($word, $cookie->getValue());
        self::assertSame([], $this->send('GET', '/api/cases')['rows']);
        self::assertSame(201, $this->ask('POST', '/api/cases', $json, self::newCaseBody()));
    }

    public function testEveryAnswerForbidsWhatPagesDoNotNeed(): void
    {
        $case = $this->newCase();
        foreach (["/api/cases/$case/report.html", '/api/cases', '/api/nothing'] as $address) {
            $this->client->request('GET', $address);
            $headers = $this->client->getResponse()->headers;
            self::assertSame('nosniff', $headers->get('X-Content-Type-Options'), $address);
            self::assertSame('SAMEORIGIN', $headers->get('X-Frame-Options'));
            self::assertSame('same-origin', $headers->get('Referrer-Policy'));
            self::assertStringContainsString("default-src 'none'", (string) $headers->get('Content-Security-Policy'));
            self::assertStringNotContainsString('script', (string) $headers->get('Content-Security-Policy'));
        }
    }

    public function testAPhotographIsShownOnlyThroughItsCase(): void
    {
        [$case, $other] = [$this->newCase(), $this->newCase()];
        $picture = (new BenchCamera(new ArrayAdapter()))->take(PartPicture::LobeNose, 2, 5);
        $sha256 = hash('sha256', $picture);
        $this->send('POST', "/api/cases/$case/photographs", $picture, 201, ['Content-Type' => 'application/octet-stream']);
        foreach (['', '/original', '/working'] as $which) {
            self::assertSame(200, $this->ask('GET', "/api/cases/$case/photographs/$sha256$which", []));
            self::assertSame(404, $this->ask('GET', "/api/cases/$other/photographs/$sha256$which", []));
            self::assertSame(404, $this->ask('GET', "/api/photographs/$sha256$which", []));
        }
        $photograph = self::entry('photograph', ['A1-E1', 'valve', 'photograph', 'p'], ['sha256' => $sha256]);
        $this->send('POST', "/api/cases/$other/entries", $photograph, 422);
    }

    public function testWhatIsWrittenIsForItsOwnerAlone(): void
    {
        $this->newCase();
        self::keys()->mark();
        self::keys()->deviceWord();
        $folder = (string) getenv('MUTE_TAPPER_DATA');
        foreach (['shop-word', 'device-word', 'secret'] as $file) {
            self::assertSame('600', substr(decoct((int) fileperms($folder.'/'.$file)), -3), $file);
        }
    }
}
