<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

use Psr\Log\LoggerInterface;

/** Writes faults of the program to the log, each under an id that the screen shows. */
final readonly class Faults
{
    public function __construct(private LoggerInterface $logger)
    {
    }

    /** @return string its id in the log */
    public function log(\Throwable $fault): string
    {
        $id = strtoupper(bin2hex(random_bytes(4)));
        $this->logger->critical('Fault {id}: {class}: {message} at {file}:{line}', [
            'id' => $id, 'class' => $fault::class, 'message' => $fault->getMessage(), 'file' => $fault->getFile(),
            'line' => $fault->getLine(), 'exception' => $fault,
        ]);

        return $id;
    }
}
