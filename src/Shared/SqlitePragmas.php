<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsMiddleware;
use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;

/** Nothing entered may be lost: write-ahead log with full sync, and patience with a writer that is not done. */
#[AsMiddleware]
final class SqlitePragmas implements Middleware
{
    public function wrap(Driver $driver): Driver
    {
        return new class($driver) extends AbstractDriverMiddleware {
            public function connect(#[\SensitiveParameter] array $params): Driver\Connection
            {
                $connection = parent::connect($params);
                $connection->exec('PRAGMA busy_timeout = 15000');
                $connection->exec('PRAGMA journal_mode = WAL');
                $connection->exec('PRAGMA synchronous = FULL');

                return new SqliteConnection($connection);
            }
        };
    }
}
