<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

use Doctrine\DBAL\Driver\Exception;
use Doctrine\DBAL\Driver\Middleware\AbstractConnectionMiddleware;

/**
 * Every transaction takes the write lock at its beginning: it waits its turn there, and cannot be refused half-way. PDO begins
 * lazily and knows no other way, so what it began is begun anew behind it; it must go on believing that a transaction is open.
 */
final class SqliteConnection extends AbstractConnectionMiddleware
{
    public function beginTransaction(): void
    {
        parent::beginTransaction();
        try {
            $this->exec('ROLLBACK');
            $this->exec('BEGIN IMMEDIATE');
        } catch (Exception $busy) {
            $this->forget();
            throw $busy;
        }
    }

    public function rollBack(): void
    {
        try {
            parent::rollBack();
        } catch (Exception) {
            // SQLite rolls back by itself when the disk is full.
            $this->forget();
        }
    }

    public function exec(string $sql): int|string
    {
        try {
            return parent::exec($sql);
        } catch (Exception $fault) {
            // The savepoint went with the transaction that SQLite rolled back: there is nothing left to go back from.
            return str_starts_with($sql, 'ROLLBACK TO') ? 0 : throw $fault;
        }
    }

    /** PDO believes in a transaction that is not there: it is given one to end. */
    private function forget(): void
    {
        $this->exec('BEGIN');
        parent::rollBack();
    }
}
