<?php

declare(strict_types=1);

namespace MuteTapper\App\Queue;

/** Finds cases by words. SQLite's implementation ships; another database brings its own. */
interface CaseSearch
{
    /**
     * Replaces what is known of a case.
     *
     * @param array<string, string> $texts by field: number, name, customer, words, notes, parts, signs, causes, calls
     */
    public function keep(int $number, array $texts): void;

    /**
     * A subquery for the numbers of the cases that have every word, or the beginning of it, and its parameters; null when nothing
     * is asked for.
     *
     * @return array{string, array<string, string>}|null
     */
    public function matching(string $words): ?array;

    /**
     * Where the words stand in some of those cases, with some words around.
     *
     * @param list<int> $numbers
     *
     * @return array<int, string> by number
     */
    public function found(string $words, array $numbers): array;
}
