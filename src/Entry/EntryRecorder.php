<?php

declare(strict_types=1);

namespace MuteTapper\App\Entry;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\App\Record\AuditRecord;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Record\EntryRecord;
use MuteTapper\App\Record\SlotHead;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Entry\Entry;
use Psr\Clock\ClockInterface;

/** Records entries: each exactly once, each on top of the head it was made against, each in one transaction with its audit. */
final readonly class EntryRecorder
{
    public function __construct(
        private EntityManagerInterface $entities,
        private EntryPreparer $preparer,
        private Cases $cases,
        private KnowledgeFiles $knowledge,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @return array{Entry, bool} the entry as it stands, and whether it is new
     *
     * @throws Problem when the slot's head changed meanwhile
     */
    public function record(CaseRecord $case, Entry $typed): array
    {
        $known = $this->entities->find(EntryRecord::class, $typed->id);
        if ($known !== null) {
            if ($known->case !== $case) {
                throw Problem::conflict('An entry with this id belongs to another case.');
            }

            return [$known->entry(), false];
        }
        if ($typed->supersedes !== null && $typed->reason === null && $this->cases->signedCall($case) !== null) {
            throw Problem::invalid(
                'The call is signed: a correction now needs its reason (mistyped, re-measured, seen again or undone).',
                ['pointer' => '/reason'],
            );
        }
        $entry = $this->preparer->prepare($typed, $this->cases->engine($case), $this->cases->settings($case)->units);

        return [$this->entities->wrapInTransaction(fn (): Entry => $this->store($case, $entry)), true];
    }

    private function store(CaseRecord $case, Entry $entry): Entry
    {
        $connection = $this->entities->getConnection();
        // Written first, so that this transaction holds the write lock before it reads the head.
        $connection->executeStatement('UPDATE case_file SET revision = revision + 1 WHERE id = ?', [$case->id]);
        $this->entities->refresh($case);
        $head = $this->entities->find(SlotHead::class, ['case' => $case->id, 'slotKey' => $entry->slot->key()]);
        if ($head !== null) {
            $this->entities->refresh($head);
        }
        if ($head?->entry->id !== $entry->supersedes) {
            throw Problem::conflict(
                $head === null ? 'The entry it corrects is not here.' : sprintf('%s filled this place meanwhile.', $head->entry->by),
                [
                    'current' => $head === null ? null : EntryView::of($head->entry->entry(), $this->cases->settings($case)->units),
                    'yours' => EntryView::of($entry, $this->cases->settings($case)->units),
                ],
            );
        }
        $this->knowledge->keep();
        $record = EntryRecord::of($case, $case->revision, $entry);
        $this->entities->persist($record);
        if ($head === null) {
            $this->entities->persist(new SlotHead($case, $entry->slot->key(), $record, $record->seq));
        } else {
            $head->entry = $record;
        }
        $this->entities->persist(
            new AuditRecord($case, $case->revision, 'entry '.$entry->kind->value, $entry->by, $this->clock->now(), ['entry' => $entry->id]),
        );

        return $entry;
    }
}
