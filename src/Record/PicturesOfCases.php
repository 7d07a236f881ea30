<?php

declare(strict_types=1);

namespace MuteTapper\App\Record;

use Doctrine\DBAL\Connection;

/** Which pictures were received for which case: a picture is shown to those who may read one of its cases. */
final readonly class PicturesOfCases
{
    public function __construct(private Connection $connection)
    {
    }

    public function add(CaseRecord $case, string $sha256): void
    {
        $this->connection->executeStatement('INSERT OR IGNORE INTO picture_of_case (case_id, sha256) VALUES (?, ?)', [$case->id, $sha256]);
    }

    public function has(CaseRecord $case, string $sha256): bool
    {
        return $this->connection->fetchOne(
            'SELECT 1 FROM picture_of_case WHERE case_id = ? AND sha256 = ?', [$case->id, $sha256],
        ) !== false;
    }
}
