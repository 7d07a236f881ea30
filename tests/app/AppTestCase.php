<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\App\Paper\MakePaper;
use MuteTapper\App\Paper\MakePaperHandler;
use MuteTapper\App\Shared\Kernel;
use MuteTapper\Core\Document\Node;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Bundle\FrameworkBundle\KernelBrowser;
use Symfony\Bundle\FrameworkBundle\Test\WebTestCase;
use Symfony\Component\Console\Tester\ApplicationTester;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Uid\Uuid;

/** The application over HTTP with a database of its own, empty at the start of each test. */
abstract class AppTestCase extends WebTestCase
{
    protected KernelBrowser $client;

    protected function setUp(): void
    {
        $folder = getenv('MUTE_TAPPER_DATA');
        self::assertIsString($folder);
        (new Filesystem())->remove($folder);
        (new Filesystem())->mkdir($folder);
        $this->client = self::createClient();
        $this->client->disableReboot();
        self::command('doctrine:migrations:migrate', ['--no-interaction' => true]);
    }

    protected static function getKernelClass(): string
    {
        return Kernel::class;
    }

    /**
     * @param array<string, mixed> $input
     *
     * @return array{int, string}
     */
    protected static function command(string $name, array $input = []): array
    {
        self::assertNotNull(self::$kernel);
        $application = new Application(self::$kernel);
        $application->setAutoExit(false);
        $tester = new ApplicationTester($application);
        $status = $tester->run(['command' => $name] + $input, ['capture_stderr_separately' => true]);

        return [$status, $tester->getDisplay()];
    }

    /**
     * Sends JSON and returns the decoded answer.
     *
     * @param array<string, string> $headers
     *
     * @return array<string, mixed>
     */
    protected function send(string $method, string $address, mixed $body = null, int $status = 200, array $headers = []): array
    {
        $server = ['CONTENT_TYPE' => $headers['Content-Type'] ?? 'application/json', 'HTTP_ORIGIN' => 'http://localhost'];
        foreach ($headers as $name => $value) {
            $server['HTTP_'.strtoupper(str_replace('-', '_', $name))] = $value;
        }
        $this->client->request($method, $address, [], [], $server, \is_string($body) ? $body : json_encode($body, \JSON_THROW_ON_ERROR));
        $answer = (string) $this->client->getResponse()->getContent();
        self::assertSame($status, $this->client->getResponse()->getStatusCode(), mb_substr($answer, 0, 600));
        if ($status >= 400) {
            self::assertSame('application/problem+json', $this->client->getResponse()->headers->get('Content-Type'));
        }
        $decoded = json_decode($answer, true, 64, \JSON_THROW_ON_ERROR);
        self::assertIsArray($decoded);
        $result = [];
        foreach ($decoded as $key => $value) {
            $result[(string) $key] = $value;
        }

        return $result;
    }

    /**
     * Asks for a paper, does the worker's part, and fetches it.
     *
     * @param array<string, mixed> $options
     * @param array<string, string> $server as the server that serves the shop tells it
     */
    protected function paper(string $case, string $kind, array $options = [], array $server = []): string
    {
        foreach ($server as $name => $value) {
            $this->client->setServerParameter($name, $value);
        }
        $asked = $this->send('POST', $case.'/papers', ['kind' => $kind, 'options' => (object) $options], 202);
        $handler = self::getContainer()->get(MakePaperHandler::class);
        self::assertInstanceOf(MakePaperHandler::class, $handler);
        $handler(new MakePaper(self::at($asked, 'id')->text()));
        $this->client->request('GET', $case.'/papers/'.self::at($asked, 'id')->text().'/file');

        return $this->client->getInternalResponse()->getContent();
    }

    /** What stands at a pointer of an answer. */
    protected static function at(mixed $answer, string $pointer): Node
    {
        $node = Node::root($answer);
        foreach (explode('/', $pointer) as $key) {
            $node = ctype_digit($key) ? $node->items()[(int) $key] : $node->get($key);
        }

        return $node;
    }

    /** A new case of a pushrod eight; returns its id. */
    protected function newCase(): string
    {
        $id = Uuid::v7()->toRfc4122();
        $this->send(
            'POST', '/api/cases',
            [
                'id' => $id, 'name' => 'Made-up eight', 'by' => 'tests',
                'engine' => ['layout' => 'vee', 'drive' => 'pushrod', 'cylinders' => 8, 'rockerRatio' => 1.5],
            ],
            201,
        );

        return $id;
    }

    /**
     * @param array{string, string, string, 3?: string} $slot place, part, item, index
     * @param array<string, mixed> $data
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    protected static function entry(string $kind, array $slot, array $data, array $more = []): array
    {
        return $more + [
            'id' => Uuid::v7()->toRfc4122(), 'kind' => $kind, 'supersedes' => null, 'by' => 'tests', 'at' => '2026-11-25T10:00:00Z',
            'data' => $data,
            'slot' => ['place' => $slot[0], 'part' => $slot[1], 'item' => $slot[2], 'index' => $slot[3] ?? null],
        ];
    }

    /** @return array<string, mixed> */
    protected static function height(string $text, string $place = 'A1-E1'): array
    {
        return self::entry('reading', [$place, 'spring_seat', 'installed_height'], ['text' => $text]);
    }
}
