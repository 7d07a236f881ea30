<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** The scripts that start a shop: what they say before they do anything, and that nothing lives on when they end. */
final class ServeTest extends TestCase
{
    private const PATIENCE = 120.0;

    private string $folder = '';

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/mute-tapper-serve.'.getmypid();
        (new Filesystem())->mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        (new Filesystem())->remove($this->folder);
    }

    /** @param list<string> $command */
    private static function ran(array $command): Process
    {
        $process = new Process($command, \dirname(__DIR__, 2), timeout: self::PATIENCE);
        $process->run();

        return $process;
    }

    public function testHelpAndWhatIsNotUnderstoodAreAnsweredBeforeAnythingIsInstalled(): void
    {
        // Without a path to any tool that could install something.
        $answered = static function (string ...$arguments): Process {
            $process = new Process(
                [\dirname(__DIR__, 2).'/bin/demo', ...$arguments], null, ['PATH' => '/usr/bin:/bin'], timeout: self::PATIENCE,
            );
            $process->run();

            return $process;
        };
        $help = $answered('--help');
        self::assertSame(0, $help->getExitCode());
        self::assertStringContainsString('--lan', $help->getOutput());
        self::assertStringNotContainsString('…', $help->getOutput(), 'no step of an installation');
        foreach ([['--prot', '3'], ['--port'], ['nonsense']] as $arguments) {
            $refused = $answered(...$arguments);
            self::assertSame(2, $refused->getExitCode());
            self::assertStringContainsString('bin/serve [--data DIR]', $refused->getErrorOutput());
        }
    }

    public function testAFolderThatMayNotBeWrittenToIsSaidInWords(): void
    {
        $process = self::ran(['bin/serve', '--data', '/proc/no-such-place']);
        self::assertSame(1, $process->getExitCode());
        self::assertStringContainsString('/proc/no-such-place may not be written to', $process->getErrorOutput());
        $process = self::ran(['bin/backup', $this->folder.'/copy', '--data', $this->folder]);
        self::assertSame(1, $process->getExitCode());
        self::assertStringContainsString('There is no shop in', $process->getErrorOutput());
    }

    public function testWhateverIsKilledNothingLivesOn(): void
    {
        $printed = $this->folder.'/address';
        $server = new Process(
            [
                'bin/serve', '--data', $this->folder.'/data', '--port', '8960', '--print', $printed,
            ], \dirname(__DIR__, 2), timeout: self::PATIENCE,
        );
        $server->start();
        $until = microtime(true) + self::PATIENCE;
        while (!is_file($printed) && microtime(true) < $until) {
            usleep(50_000);
        }
        self::assertFileExists($printed, $server->getErrorOutput());
        self::assertSame('0700', substr(\sprintf('%o', fileperms($this->folder.'/data')), -4));
        self::assertSame('0600', substr(\sprintf('%o', fileperms($this->folder.'/data/cases.sqlite')), -4));
        $family = self::below((int) $server->getPid());
        $masters = array_filter($family, static fn (string $command): bool => str_starts_with($command, 'php-fpm: master'));
        self::assertCount(1, $masters);
        self::assertGreaterThan(8, \count($family), 'nginx, php-fpm and two workers with their children');
        posix_kill((int) array_key_first($masters), \SIGKILL);
        while ($server->isRunning() && microtime(true) < $until) {
            usleep(50_000);
        }
        self::assertFalse($server->isRunning());
        $left = array_filter(
            $family, static fn (string $command, int $pid): bool => (self::all()[$pid][1] ?? '') === $command, \ARRAY_FILTER_USE_BOTH,
        );
        self::assertSame([], $left);
    }

    /** @return array<int, array{int, string}> parent and command by process; those that ended and wait to be noticed left out */
    private static function all(): array
    {
        $processes = [];
        foreach (explode("\n", (new Process(['ps', '-eo', 'pid=,ppid=,stat=,args=']))->mustRun()->getOutput()) as $line) {
            if (preg_match('/^\s*(\d+)\s+(\d+)\s+([^Z\s]\S*)\s+(.+)$/', $line, $part) === 1) {
                $processes[(int) $part[1]] = [(int) $part[2], $part[4]];
            }
        }

        return $processes;
    }

    /** @return array<int, string> commands of all processes that descend from one */
    private static function below(int $ancestor): array
    {
        $all = self::all();
        $below = [];
        foreach ($all as $pid => [, $command]) {
            $above = [];
            for ($one = $pid; isset($all[$one]); $one = $all[$one][0]) {
                $above[] = $all[$one][0];
            }
            if (in_array($ancestor, $above, true)) {
                $below[$pid] = $command;
            }
        }

        return $below;
    }
}
