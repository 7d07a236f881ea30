<?php

declare(strict_types=1);

namespace MuteTapper\App\Entry;

use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Record\StoredEntries;
use MuteTapper\App\Record\Writing;
use MuteTapper\App\Shared\Problem;
use MuteTapper\App\Shared\RefusedMember;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Quantity\NotUnderstood;
use MuteTapper\Core\Quantity\UnitSystem;

/** Records entries: each exactly once, each on top of the head it was made against. */
final readonly class EntryRecorder
{
    public function __construct(
        private StoredEntries $entries,
        private EntryPreparer $preparer,
        private Cases $cases,
        private KnowledgeFiles $knowledge,
        private Writing $writing,
    ) {
    }

    /**
     * @return array{RecordedEntry, bool} the entry as it is shown, and whether it is new
     *
     * @throws BadDocument
     * @throws NotUnderstood
     * @throws Problem when the slot's head changed meanwhile
     */
    public function record(CaseRecord $case, Entry $typed): array
    {
        return $this->writing->together(function () use ($case, $typed): array {
            $known = $this->entries->caseOf($typed->id);
            if ($known !== null && $known !== $case->id) {
                throw Problem::conflict('An entry with this id belongs to another case.');
            }
            $view = $known === null
                ? $this->store($case, $typed)
                : EntryView::of($this->entries->get($typed->id), $this->cases->settings($case)->units);

            return [new RecordedEntry($view, $case->revision), $known === null];
        });
    }

    /**
     * All of them in their order, or none.
     *
     * @param list<Entry> $typed
     *
     * @return list<RecordedEntry>
     *
     * @throws RefusedMember of the first that is not taken
     */
    public function recordTogether(CaseRecord $case, array $typed): array
    {
        return $this->writing->together(function () use ($case, $typed): array {
            $recorded = [];
            foreach ($typed as $index => $entry) {
                try {
                    [$recorded[]] = $this->record($case, $entry);
                } catch (BadDocument|NotUnderstood|Problem $refusal) {
                    throw new RefusedMember('/entries/'.$index, $refusal);
                }
            }

            return $recorded;
        });
    }

    private function store(CaseRecord $case, Entry $typed): EntryView
    {
        $work = function () use ($case, $typed): EntryView {
            if ($typed->supersedes !== null && $typed->reason === null && $this->cases->signedCall($case) !== null) {
                throw Problem::invalid(
                    'The call is signed: a correction now needs its reason (mistyped, re-measured, seen again or undone).',
                    ['pointer' => '/reason'],
                );
            }
            $units = $this->cases->settings($case)->units;
            $entry = $this->preparer->prepare($typed, $case);
            $head = $this->entries->headOf($case, $entry->slot);
            if ($head !== $entry->supersedes) {
                throw $this->contested($head, EntryView::of($entry, $units), $units);
            }
            $this->knowledge->keep();
            $this->entries->append($case, [$entry], $case->revision);

            return EntryView::of($entry, $units);
        };

        return $this->writing->onCase($case, 'entry '.$typed->kind->value, $typed->by, $work, ['entry' => $typed->id]);
    }

    /** @param string|null $head id of what stands there */
    private function contested(?string $head, EntryView $yours, UnitSystem $units): Problem
    {
        if ($head === null) {
            return Problem::conflict('The entry it corrects is not here.', ['current' => null, 'yours' => $yours]);
        }
        try {
            $current = EntryView::of($this->entries->get($head), $units);
        } catch (BadDocument) {
            return Problem::conflict(
                'What stands here cannot be read. Take it back first: it is listed as not read.',
                ['current' => null, 'unread' => $head, 'yours' => $yours],
            );
        }

        return Problem::conflict(sprintf('%s filled this place meanwhile.', $current->by), ['current' => $current, 'yours' => $yours]);
    }
}
