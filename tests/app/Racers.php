<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use PHPUnit\Framework\Assert;
use Symfony\Component\Process\Process;

/**
 * Processes that use one data folder at the same time, running the application as it is served, with its queue in the database.
 *
 * @phpstan-type Asked array{method: string, address: string, body?: mixed, file?: string, type?: string, headers?: array<string, string>}
 * @phpstan-type Answer array{int, mixed, float}
 */
final class Racers
{
    /** Seconds until all processes are up; a busy machine is a normal machine. */
    private const HEAD_START = 3.0;
    private const PATIENCE = 300.0;

    /** @param list<Process> $processes */
    private function __construct(private readonly array $processes)
    {
    }

    /**
     * Each list of requests in a process of its own, all begun at one moment.
     *
     * @param list<list<Asked>> $racers
     */
    public static function start(array $racers): self
    {
        $start = microtime(true) + self::HEAD_START;
        $processes = [];
        foreach ($racers as $requests) {
            $process = new Process(['php', '-d', 'pcov.enabled=0', __DIR__.'/racer.php'], timeout: self::PATIENCE);
            $process->setInput(json_encode([$start, $requests], \JSON_THROW_ON_ERROR));
            $process->start();
            $processes[] = $process;
        }

        return new self($processes);
    }

    /** @return list<list<Answer>> by racer */
    public function answers(): array
    {
        return array_map(static function (Process $process): array {
            $process->wait();
            /** @var list<Answer>|null $answers */
            $answers = json_decode($process->getOutput(), true);
            Assert::assertIsArray($answers, $process->getOutput().$process->getErrorOutput());

            return $answers;
        }, $this->processes);
    }

    public function areRunning(): bool
    {
        foreach ($this->processes as $process) {
            if ($process->isRunning()) {
                return true;
            }
        }

        return false;
    }

    /**
     * A console command beside them.
     *
     * @param list<string> $command
     */
    public static function console(array $command, ?string $data = null): Process
    {
        return new Process(
            ['php', '-d', 'pcov.enabled=0', \dirname(__DIR__, 2).'/bin/console', ...$command], null,
            ['APP_ENV' => 'race', 'APP_DEBUG' => '1'] + ($data === null ? [] : ['MUTE_TAPPER_DATA' => $data]), timeout: self::PATIENCE,
        );
    }
}
