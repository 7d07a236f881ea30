<?php

declare(strict_types=1);

namespace MuteTapper\App\CaseFile;

use Doctrine\DBAL\Connection;
use MuteTapper\App\Shared\Problem;

/** A case as its rows lie in the database, whether it can be read or not: nothing that was recorded is ever out of reach. */
final readonly class RawCase
{
    private const TABLES = [
        'case_file' => 'SELECT * FROM case_file WHERE id = ?',
        'entry' => 'SELECT * FROM entry WHERE case_id = ? ORDER BY seq',
        'signed_call' => 'SELECT * FROM signed_call WHERE case_id = ? ORDER BY seq',
        'audit' => 'SELECT * FROM audit WHERE case_id = ? ORDER BY id',
    ];

    public function __construct(private Connection $connection)
    {
    }

    /** @throws Problem when there is no such case */
    public function of(string $id): string
    {
        $rows = array_map(fn (string $query): array => $this->connection->fetchAllAssociative($query, [$id]), self::TABLES);
        if ($rows['case_file'] === []) {
            throw Problem::notFound('There is no case with this id here.');
        }

        return json_encode(
            $rows, \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES
            | \JSON_INVALID_UTF8_SUBSTITUTE,
        )."\n";
    }
}
