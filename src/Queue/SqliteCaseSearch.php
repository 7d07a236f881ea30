<?php

declare(strict_types=1);

namespace MuteTapper\App\Queue;

use Doctrine\DBAL\Connection;

/** Search by SQLite's FTS5. */
final readonly class SqliteCaseSearch implements CaseSearch
{
    private const FIELDS = ['number', 'name', 'customer', 'words', 'notes', 'parts', 'signs', 'causes', 'calls'];
    private const WORDS_AROUND = 10;
    private const MOST_WORDS = 12;

    public function __construct(private Connection $connection)
    {
    }

    public function keep(int $number, array $texts): void
    {
        $this->connection->executeStatement('DELETE FROM case_search WHERE rowid = ?', [$number]);
        $this->connection->executeStatement(
            sprintf(
                'INSERT INTO case_search (rowid, %s) VALUES (?%s)', implode(', ', self::FIELDS), str_repeat(', ?', count(self::FIELDS)),
            ),
            [$number, ...array_map(static fn (string $field): string => $texts[$field] ?? '', self::FIELDS)],
        );
    }

    public function matching(string $words): ?array
    {
        $match = self::match($words);

        return $match === null ? null : ['SELECT rowid FROM case_search WHERE case_search MATCH :match', ['match' => $match]];
    }

    public function found(string $words, array $numbers): array
    {
        $match = self::match($words);
        if ($match === null || $numbers === []) {
            return [];
        }
        // By a range of rows: the index goes through a list of them twenty times slower.
        /** @var array<int, string> $found */
        $found = $this->connection->fetchAllKeyValue(
            sprintf(
                "SELECT rowid, snippet(case_search, -1, '', '', '…', %d) FROM case_search WHERE case_search MATCH ? ".
                'AND rowid BETWEEN ? AND ?',
                self::WORDS_AROUND,
            ),
            [$match, min($numbers), max($numbers)],
        );

        return $found;
    }

    /** Letters and figures as the tokenizer takes them; each is quoted, so that nothing of a query can be meant as syntax. */
    private static function match(string $words): ?string
    {
        preg_match_all('/[\p{L}\p{N}\p{M}]+/u', mb_scrub($words), $tokens);
        $tokens = array_slice(array_unique($tokens[0]), 0, self::MOST_WORDS);

        return $tokens === [] ? null : implode(' AND ', array_map(static fn (string $token): string => '"'.$token.'"*', $tokens));
    }
}
