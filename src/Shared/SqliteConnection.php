<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

use Doctrine\DBAL\Driver\Middleware\AbstractConnectionMiddleware;

/** Every transaction takes the write lock at its beginning: it waits its turn there, and cannot be refused half-way. */
final class SqliteConnection extends AbstractConnectionMiddleware
{
    public function beginTransaction(): void
    {
        $this->exec('BEGIN IMMEDIATE');
    }

    public function commit(): void
    {
        $this->exec('COMMIT');
    }

    public function rollBack(): void
    {
        $this->exec('ROLLBACK');
    }
}
