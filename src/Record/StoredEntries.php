<?php

declare(strict_types=1);

namespace MuteTapper\App\Record;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Assessment\EntryForm;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Entry\SupersedeReason;

/**
 * Entries as they lie in the database, read leniently: one that cannot be read is named and left out. What this build of the
 * core has read once is not checked again.
 */
final readonly class StoredEntries
{
    private const COLUMNS = 'e.id, e.kind, e.place, e.part, e.item, e.slot_index, e.supersedes, e.reason, e.recorded_by, e.recorded_at, '
        .'e.knowledge, e.data';

    private const TIME = 'Y-m-d\TH:i:s.v\Z';
    private const ROWS_AT_ONCE = 400;

    private EntryForm $form;
    private string $build;

    public function __construct(private Connection $connection, string $coreHash)
    {
        $this->form = new EntryForm(AllSheets::get());
        $this->build = substr($coreHash, 0, 16);
    }

    /** The newest entry of every slot, in the order in which the slots were first used. */
    public function heads(CaseRecord $case, Engine $engine): StoredLog
    {
        $entries = $unread = [];
        foreach ($this->connection->iterateAssociative(
            'SELECT '.self::COLUMNS.', h.read_by FROM slot_head h JOIN entry e ON e.id = h.entry_id '.
            'WHERE h.case_id = ? ORDER BY h.first_seq',
            [$case->id],
        ) as $row) {
            try {
                $entry = self::entry($row);
                if ($row['read_by'] !== $this->build) {
                    $this->form->check($entry, $engine);
                }
                $entries[] = $entry;
            } catch (BadDocument $problem) {
                $unread[] = new UnreadEntry(self::raw($row), $problem->getMessage());
            }
        }

        return new StoredLog($entries, $unread);
    }

    /** The case that an entry belongs to, or null where there is no such entry. */
    public function caseOf(string $id): ?string
    {
        $case = $this->connection->fetchOne('SELECT case_id FROM entry WHERE id = ?', [$id]);

        return is_string($case) ? $case : null;
    }

    /** @throws BadDocument when it cannot be read */
    public function get(string $id): Entry
    {
        $row = $this->connection->fetchAssociative('SELECT '.self::COLUMNS.' FROM entry e WHERE e.id = ?', [$id]);

        return $row === false ? throw Problem::notFound('There is no entry with this id.') : self::entry($row);
    }

    /**
     * Where parts of a tag stand, over all cases.
     *
     * @return list<array{case: string, entry: Entry}>
     */
    public function tagged(string $tag): array
    {
        return array_map(
            static fn (array $row): array => ['case' => is_string($row['case_id']) ? $row['case_id'] : '', 'entry' => self::entry($row)],
            $this->connection->fetchAllAssociative(
                'SELECT '.self::COLUMNS.", e.case_id FROM entry e JOIN slot_head h ON h.entry_id = e.id WHERE e.kind = 'tag' ".
                "AND json_extract(e.data, '$.tag') = ? ORDER BY e.recorded_at", [$tag],
            ),
        );
    }

    /** @return list<string> cases in which anything was recorded of a part off the engine */
    public function casesWithLoose(string $tag): array
    {
        return array_map(
            static fn (mixed $id): string => is_string($id) ? $id : '',
            // The second condition is that of the index: without it every entry of the shop would be read.
            $this->connection->fetchFirstColumn(
                "SELECT DISTINCT case_id FROM entry WHERE place = ? AND place LIKE 'loose-%'", [Place::loose($tag)],
            ),
        );
    }

    /** Id of the newest entry of a slot. */
    public function headOf(CaseRecord $case, Slot $slot): ?string
    {
        $id = $this->connection->fetchOne('SELECT entry_id FROM slot_head WHERE case_id = ? AND slot_key = ?', [$case->id, $slot->key()]);

        return is_string($id) ? $id : null;
    }

    /**
     * @param list<string> $ids
     *
     * @return string|null the first that is here already
     */
    public function firstKnown(array $ids): ?string
    {
        foreach (array_chunk($ids, self::ROWS_AT_ONCE) as $some) {
            $known = $this->connection->fetchOne('SELECT id FROM entry WHERE id IN (?) LIMIT 1', [$some], [ArrayParameterType::STRING]);
            if (is_string($known)) {
                return $known;
            }
        }

        return null;
    }

    /**
     * Adds entries that were checked, in their order: each becomes the head of its slot.
     *
     * @param list<Entry> $entries
     * @param int $seq of the first of them; the others follow
     */
    public function append(CaseRecord $case, array $entries, int $seq): void
    {
        $rows = $heads = [];
        foreach ($entries as $entry) {
            $slot = $entry->slot;
            $rows[] = [
                $entry->id, $case->id, $seq, $entry->kind->value, $slot->place, $slot->part, $slot->item, $slot->index, $entry->supersedes,
                $entry->reason?->value, $entry->by, $entry->at->format(self::TIME), $entry->knowledge,
                json_encode($entry->data, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION),
            ];
            $key = $slot->key();
            $heads[$key] = [$case->id, $key, $entry->id, $heads[$key][3] ?? $seq, $this->build];
            ++$seq;
        }
        $this->insert(
            'INSERT INTO entry (id, case_id, seq, kind, place, part, item, slot_index, supersedes, reason, recorded_by, recorded_at, '.
            'knowledge, data) VALUES ', $rows,
        );
        $this->insert(
            'INSERT INTO slot_head (case_id, slot_key, entry_id, first_seq, read_by) VALUES ', array_values($heads),
            ' ON CONFLICT (case_id, slot_key) DO UPDATE SET entry_id = excluded.entry_id, read_by = excluded.read_by',
        );
    }

    /** @param list<list<int|string|null>> $rows */
    private function insert(string $into, array $rows, string $after = ''): void
    {
        foreach (array_chunk($rows, self::ROWS_AT_ONCE) as $some) {
            $marks = '('.implode(', ', array_fill(0, count($some[0]), '?')).')';
            $this->connection->executeStatement($into.implode(', ', array_fill(0, count($some), $marks)).$after, array_merge(...$some));
        }
    }

    /** Remembers which heads of a case this build can read. */
    public function confirm(CaseRecord $case, StoredLog $log): void
    {
        $this->connection->executeStatement(
            'UPDATE slot_head SET read_by = ? WHERE case_id = ? AND read_by <> ?', [$this->build, $case->id, $this->build],
        );
        foreach ($log->unread as $entry) {
            $this->connection->executeStatement('UPDATE slot_head SET read_by = \'\' WHERE entry_id = ?', [$entry->raw['id']]);
        }
    }

    /** @return list<Entry> every entry of a kind, or of any, ever made that can be read, in the order of recording */
    public function ofKind(CaseRecord $case, ?EntryKind $kind, Engine $engine): array
    {
        $entries = [];
        foreach ($this->connection->iterateAssociative(
            'SELECT '.self::COLUMNS." FROM entry e WHERE e.case_id = ? AND ? IN (e.kind, '') ORDER BY e.seq",
            [$case->id, $kind->value ?? ''],
        ) as $row) {
            try {
                $entry = self::entry($row);
                $this->form->check($entry, $engine);
                $entries[] = $entry;
            } catch (BadDocument) {
                continue; // named among those not read where it is a head
            }
        }

        return $entries;
    }

    /** @return list<array<string, mixed>> every entry as an open file holds it, readable or not, in the order of recording */
    public function documents(CaseRecord $case): array
    {
        return array_map(self::raw(...), $this->connection->fetchAllAssociative(
            'SELECT '.self::COLUMNS.' FROM entry e WHERE e.case_id = ? ORDER BY e.seq', [$case->id],
        ));
    }

    /**
     * @param array<string, mixed> $row
     *
     * @throws BadDocument
     */
    private static function entry(array $row): Entry
    {
        $raw = self::raw($row);
        $node = Node::root($raw);

        return new Entry(
            $node->get('id')->text(), $node->get('kind')->choice(EntryKind::class), Slot::fromNode($node->get('slot')),
            $node->maybe('supersedes')?->text(), $node->maybe('reason')?->choice(SupersedeReason::class), $node->get('by')->text(),
            $node->get('at')->time(), $node->maybe('knowledge')?->text(), $node->maybe('data')?->map() ?? [],
        );
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed> in the shape of an entry of a case document
     */
    private static function raw(array $row): array
    {
        $data = is_string($row['data']) ? json_decode($row['data'], true, 64) ?? $row['data'] : null;

        return [
            'id' => $row['id'], 'kind' => $row['kind'],
            'slot' => ['place' => $row['place'], 'part' => $row['part'], 'item' => $row['item'], 'index' => $row['slot_index']],
            'supersedes' => $row['supersedes'], 'reason' => $row['reason'], 'by' => $row['recorded_by'], 'at' => $row['recorded_at'],
            'knowledge' => $row['knowledge'], 'data' => $data === [] ? null : $data,
        ];
    }
}
