<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Outside;

/** Runs a reference program that knows nothing of this one. */
trait RunsPython
{
    private const PYTHON = '/usr/bin/python3';

    /** @return array<int, mixed> */
    private static function python(string $program, mixed $input): array
    {
        $process = proc_open([self::PYTHON, '-c', $program], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes);
        self::assertIsResource($process);
        fwrite($pipes[0], json_encode($input, \JSON_THROW_ON_ERROR));
        fclose($pipes[0]);
        $output = (string) stream_get_contents($pipes[1]);
        $errors = (string) stream_get_contents($pipes[2]);
        self::assertSame(0, proc_close($process), $errors);
        $decoded = json_decode($output, true, 64, \JSON_THROW_ON_ERROR);
        self::assertIsArray($decoded);

        return array_values($decoded);
    }
}
