<?php

declare(strict_types=1);

namespace MuteTapper\App\Compare;

use Doctrine\DBAL\Connection;
use MuteTapper\App\Record\CaseRecord;

/** Cases whose stations can be held against those of one: engines of the same layout, drive and count of cylinders. */
final readonly class ComparableCases
{
    private const MOST = 50;
    private const ALIKE = ['layout', 'drive', 'cylinders', 'intake_valves', 'exhaust_valves'];

    public function __construct(private Connection $connection)
    {
    }

    /** @return list<ComparableCaseView> the newest first */
    public function with(CaseRecord $case): array
    {
        $alike = implode(' AND ', array_map(
            static fn (string $name): string => "json_extract(c.engine, '$.$name') IS json_extract(o.engine, '$.$name')", self::ALIKE,
        ));
        /** @var list<array{id: string, number: int, name: string}> $rows */
        $rows = $this->connection->fetchAllAssociative(
            'SELECT c.id, c.number, c.name FROM case_file c JOIN case_file o ON o.id = ? WHERE c.id <> o.id AND '.$alike.
            ' ORDER BY c.number DESC LIMIT '.self::MOST, [$case->id],
        );

        return array_map(
            static fn (array $row): ComparableCaseView => new ComparableCaseView($row['id'], $row['number'], $row['name']), $rows,
        );
    }
}
