<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use Doctrine\DBAL\Connection;
use MuteTapper\App\Paper\MakePaper;
use MuteTapper\App\Paper\MakePaperHandler;
use MuteTapper\App\Paper\PaperMaker;
use MuteTapper\App\Paper\PaperMakers;
use MuteTapper\App\Paper\Papers;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Shared\Faults;
use MuteTapper\Core\Document\Node;
use Symfony\Component\ErrorHandler\BufferingLogger;

/** Papers are made aside: asked for twice they are made once, a cancelled one is not made, and a failure ends in words. */
final class PaperTest extends AppTestCase
{
    private string $case = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->case = '/api/cases/'.$this->newCase();
    }

    private function ask(string $kind): string
    {
        return self::at($this->send('POST', $this->case.'/papers', ['kind' => $kind], 202), 'id')->text();
    }

    private static function work(string $paper): void
    {
        $handler = self::getContainer()->get(MakePaperHandler::class);
        self::assertInstanceOf(MakePaperHandler::class, $handler);
        $handler(new MakePaper($paper));
    }

    /** @return array{string, float} */
    private function state(string $paper): array
    {
        $state = Node::root($this->send('GET', $this->case.'/papers/'.$paper));

        return [$state->get('state')->text(), $state->get('done')->number()];
    }

    public function testTheSamePaperIsMadeOnceUntilTheCaseChanges(): void
    {
        $paper = $this->ask('report');
        self::assertSame(['waiting', 0.0], $this->state($paper));
        $this->send('GET', $this->case.'/papers/'.$paper.'/file', null, 404);
        self::work($paper);
        self::assertSame(['ready', 1.0], $this->state($paper));
        self::assertSame($paper, $this->ask('report'));
        self::assertSame(['ready', 1.0], $this->state($paper));
        $this->send('POST', $this->case.'/entries', self::height('1.800'), 201);
        self::assertNotSame($paper, $this->ask('report'));
    }

    public function testACancelledPaperIsNotMadeAndCanBeAskedForAgain(): void
    {
        $paper = $this->ask('tags');
        self::assertSame('cancelled', $this->send('DELETE', $this->case.'/papers/'.$paper)['state']);
        self::work($paper);
        self::assertSame(['cancelled', 0.0], $this->state($paper));
        self::assertSame($paper, $this->ask('tags'));
        self::work($paper);
        self::assertSame(['ready', 1.0], $this->state($paper));
    }

    public function testAPaperThatFailsSaysSoWithItsFault(): void
    {
        $paper = $this->ask('report');
        $folder = getenv('MUTE_TAPPER_DATA').'/papers';
        file_put_contents($folder, 'no folder');
        self::work($paper);
        $state = Node::root($this->send('GET', $this->case.'/papers/'.$paper));
        self::assertSame('failed', $state->get('state')->text());
        self::assertStringContainsString('Nothing can be written', $state->get('message')->text());
        unlink($folder);
        self::assertSame($paper, $this->ask('report'));
        self::work($paper);
        self::assertSame('ready', $this->state($paper)[0]);
    }

    public function testAPaperOfAnotherCaseIsNotGivenOut(): void
    {
        $paper = $this->ask('report');
        self::work($paper);
        $other = '/api/cases/'.$this->newCase();
        $this->send('GET', $other.'/papers/'.$paper, null, 404);
        $this->send('GET', $other.'/papers/'.$paper.'/file', null, 404);
        $this->send('POST', $this->case.'/papers', ['kind' => 'novel'], 404);
    }

    public function testAPaperThatIsCancelledWhileItIsMadeEndsWithoutAFault(): void
    {
        $paper = $this->ask('report');
        $connection = self::getContainer()->get('doctrine.dbal.default_connection');
        $papers = self::getContainer()->get(Papers::class);
        self::assertInstanceOf(Connection::class, $connection);
        self::assertInstanceOf(Papers::class, $papers);
        $maker = new class($connection) implements PaperMaker {
            public float $reached = 0.0;

            public function __construct(private readonly Connection $connection)
            {
            }

            public function kind(): string
            {
                return 'report';
            }

            public function extension(): string
            {
                return 'pdf';
            }

            public function mediaType(): string
            {
                return 'application/pdf';
            }

            public function options(CaseRecord $case, Node $asked): array
            {
                return [];
            }

            public function make(CaseRecord $case, Node $options, \Closure $progress): string
            {
                foreach ([0.2, 0.4, 0.6] as $done) {
                    $this->reached = $done;
                    if ($done === 0.4) {
                        $this->connection->executeStatement("UPDATE paper SET state = 'cancelled'");
                    }
                    $progress($done);
                }

                return '%PDF';
            }
        };
        $log = new BufferingLogger();
        $handler = new MakePaperHandler($papers, new PaperMakers([$maker]), new Faults($log));
        $handler(new MakePaper($paper));
        self::assertSame(0.4, $maker->reached);
        self::assertSame(['cancelled', 0.2], $this->state($paper));
        self::assertSame([], $log->cleanLogs());
    }
}
