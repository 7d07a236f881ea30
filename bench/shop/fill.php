<?php

declare(strict_types=1);

// Fills an empty data folder with a big shop: some cases are imported through the application, then copied by SQL under ids,
// numbers, names and stories of their own. Bulk data is for benchmarks alone.
//   php bench/shop/fill.php DIR [CASES] [READINGS A CASE]

use MuteTapper\Bench\FullCase;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;

require dirname(__DIR__, 2).'/vendor/autoload.php';
require dirname(__DIR__).'/FullCase.php';
umask(0o077);

/** Cases that the others are copied from. */
const TEMPLATES = 6;
/** Entries of the one large case, findings and superseded ones among them. */
const LARGE = 5000;
const WORDS = [
    'rattled', 'cold', 'hot', 'limiter', 'shift', 'spring', 'broke', 'pushrod', 'bent', 'oil', 'pressure', 'valve', 'dropped', 'piston',
    'quiet', 'smoke', 'misfire', 'lash', 'ticked', 'seat', 'worn', 'guide', 'retainer', 'lobe', 'follower', 'float', 'missed', 'over-rev',
];

$root = dirname(__DIR__, 2);
$folder = $argv[1] ?? exit("php bench/shop/fill.php DIR [CASES] [READINGS A CASE]\n");
$cases = (int) ($argv[2] ?? 10000);
$readings = (int) ($argv[3] ?? 200);
$console = static function (string $command) use ($root, $folder): void {
    passthru(sprintf(
        'APP_ENV=prod MUTE_TAPPER_DATA=%s php -d memory_limit=1G %s/bin/console %s >/dev/null', escapeshellarg($folder), $root, $command,
    ), $status);
    $status === 0 || exit(1);
};
@mkdir($folder, 0o700, true);
$console('doctrine:migrations:migrate --no-interaction --quiet');

$full = FullCase::of(0, 0);
$ofKind = static fn (EntryKind $kind, int $most): array => array_slice($full->log->standing($kind), 0, $most);
$write = static function (string $id, array $entries) use ($console, $full, $folder): void {
    file_put_contents($folder.'/template.json', json_encode([
        'format' => 'mute-tapper-case', 'version' => 1,
        'case' => ['id' => $id, 'name' => 'Template', 'created_at' => '2026-11-25T10:00:00Z'], 'engine' => $full->engine->toArray(),
        'entries' => $entries, 'story' => ['words' => 'Made up.', 'customer' => 'Bench'],
    ], \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION));
    $console('case:import '.escapeshellarg($folder.'/template.json'));
    unlink($folder.'/template.json');
};
for ($t = 1; $t <= TEMPLATES; ++$t) {
    $write(sprintf('%08x-0000-7000-8000-000000000000', $t), array_map(
        static fn (Entry $entry): array => ['id' => sprintf('%08x', $t).substr($entry->id, 8)] + $entry->toArray(),
        [...$ofKind(EntryKind::Reading, $readings), ...$ofKind(EntryKind::Finding, 10 * $t), ...$ofKind(EntryKind::Look, 5 * $t)],
    ));
}
// One case with 5,000 entries, each slot corrected many times.
$entries = [];
$heads = [];
foreach (range(1, LARGE) as $i) {
    $entry = $full->log->standing(EntryKind::Reading)[$i % 224];
    $key = $entry->slot->key();
    $id = sprintf('0000ffff-0000-7000-8000-%012d', $i);
    $entries[] = ['id' => $id, 'supersedes' => $heads[$key] ?? null] + $entry->toArray();
    $heads[$key] = $id;
}
$write('0000ffff-0000-7000-8000-000000000000', $entries);

$database = new PDO('sqlite:'.$folder.'/cases.sqlite', null, null, [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
$database->exec('PRAGMA synchronous = OFF');
mt_srand(7);
$new = static fn (string $column): string => "printf('%08x', :k) || substr($column, 9)";
$copies = array_map($database->prepare(...), [
    "INSERT INTO case_file SELECT revision, description_version, engine_version, call_document, call_version, {$new('id')}, :n, :name, ".
    'engine, description, created_at, copied_from, set_aside, signed_version FROM case_file WHERE id = :t',
    "INSERT INTO entry SELECT {$new('id')}, seq, kind, place, part, item, slot_index, NULL, reason, recorded_by, recorded_at, knowledge, ".
    "data, {$new('case_id')} FROM entry WHERE case_id = :t",
    "INSERT INTO slot_head SELECT slot_key, {$new('case_id')}, {$new('entry_id')}, first_seq, read_by FROM slot_head WHERE case_id = :t",
    "INSERT INTO queue_row SELECT :n, {$new('case_id')}, :n % 3 = 0, :n % 50 = 0, :n % 7 = 0, ".
    "CASE WHEN :n % 11 = 0 THEN '2020-01-01' END, made_by, NULL, ".
    "json_set(content, '$.name', :name, '$.words', :words) FROM queue_row WHERE case_id = :t",
    'INSERT INTO case_search (rowid, number, name, customer, words, notes, parts, signs, causes, calls) SELECT :n, :n, :name, customer, '.
    ':words, notes, parts, signs, causes, calls FROM case_search WHERE rowid = (SELECT number FROM case_file WHERE id = :t)',
    'INSERT INTO worked_on VALUES (:person, :n)',
]);
$begun = microtime(true);
for ($n = TEMPLATES + 2; $n <= $cases; ++$n) {
    if ($n % 200 === 0) {
        $database->inTransaction() && $database->commit();
        fprintf(\STDERR, "\r%d cases, %d s", $n, microtime(true) - $begun);
    }
    $database->inTransaction() || $database->beginTransaction();
    $words = implode(' ', array_map(static fn (): string => WORDS[mt_rand(0, count(WORDS) - 1)], range(1, 25)));
    $values = [
        'k' => 0x100000 + $n, 'n' => $n, 't' => sprintf('%08x-0000-7000-8000-000000000000', 1 + $n % TEMPLATES),
        'name' => sprintf('Bulk %d %s', $n, WORDS[$n % count(WORDS)]), 'words' => $words, 'person' => 'person '.$n % 20,
    ];
    foreach ($copies as $copy) {
        foreach ($values as $name => $value) {
            if (str_contains($copy->queryString, ':'.$name)) {
                $copy->bindValue($name, $value, is_int($value) ? PDO::PARAM_INT : PDO::PARAM_STR);
            }
        }
        $copy->execute();
    }
}
$database->commit();
$database->exec("INSERT INTO case_search (case_search) VALUES ('optimize')");
$database->exec('ANALYZE');
$count = static function (string $query) use ($database): int {
    $result = $database->query($query);

    return $result === false ? 0 : (int) $result->fetchColumn();
};
printf(
    "\n%d cases, %d entries, %d of them readings, %.1f GB, filled in %d s\n", $count('SELECT COUNT(*) FROM case_file'),
    $count('SELECT COUNT(*) FROM entry'), $count("SELECT COUNT(*) FROM entry WHERE kind = 'reading'"),
    (int) filesize($folder.'/cases.sqlite') / 1e9, microtime(true) - $begun,
);
