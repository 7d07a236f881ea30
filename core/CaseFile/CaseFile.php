<?php

declare(strict_types=1);

namespace MuteTapper\Core\CaseFile;

use MuteTapper\Core\Assessment\EntryContent;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Entry\Claim;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\EntryLog;
use MuteTapper\Core\Entry\Finding;
use MuteTapper\Core\Entry\Reading;
use MuteTapper\Core\Entry\Slot;

/** Everything recorded about one engine, as the computations see it. */
final readonly class CaseFile
{
    public function __construct(public Engine $engine, public Settings $settings, public EntryLog $log)
    {
    }

    /**
     * Reads the parts of a case document that can be computed on.
     *
     * @throws BadDocument
     */
    public static function fromNode(Node $document): self
    {
        $engine = Engine::fromNode($document->get('engine'));
        $log = EntryLog::of(array_map(static fn (Node $entry): Entry => Entry::fromNode($entry), $document->get('entries')->items()));
        foreach ($log->entries as $i => $entry) {
            self::checkEntry($entry, $engine, '/entries/'.$i);
        }

        return new self($engine, Settings::fromNode($document->maybe('settings')), $log);
    }

    /**
     * That the entry stands at a place of this engine and its content can be read.
     *
     * @throws BadDocument
     */
    public static function checkEntry(Entry $entry, Engine $engine, string $pointer = ''): void
    {
        self::checkPlace($entry, $engine, $pointer);
        try {
            match ($entry->kind) {
                EntryKind::Reading => Reading::of($entry),
                EntryKind::Claim => Claim::of($entry),
                EntryKind::Finding => Finding::of($entry),
                EntryKind::Photograph => $entry->node()->get('sha256')->word(64),
                default => EntryContent::normal($entry->kind, $entry->node()),
            };
        } catch (BadDocument $problem) {
            throw BadDocument::at($pointer.'/data'.$problem->pointer, $problem->reason);
        }
    }

    /** @throws BadDocument */
    public static function checkPlace(Entry $entry, Engine $engine, string $pointer = ''): void
    {
        if ($engine->placeLabel($entry->slot->place) === null) {
            throw BadDocument::at($pointer.'/slot/place', sprintf('this engine has no place “%s”.', $entry->slot->place));
        }
    }

    public function reading(Slot $slot): ?Reading
    {
        $entry = $this->log->headOf($slot);

        return $entry?->kind === EntryKind::Reading ? Reading::of($entry) : null;
    }

    /** The claim for a station: its own, else the one for all valves of its kind. */
    public function claim(Slot $slot): ?Claim
    {
        $station = $this->engine->station($slot->place);
        foreach ([$slot->place, $station === null ? null : 'kind-'.$station->kind->value] as $place) {
            if ($place !== null) {
                $entry = $this->log->headOf(new Slot($place, $slot->part, 'claimed.'.$slot->item, $slot->index));
                if ($entry?->kind === EntryKind::Claim) {
                    return Claim::of($entry);
                }
            }
        }

        return null;
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return array_map(Finding::of(...), $this->log->standing(EntryKind::Finding));
    }

    /** @return list<Entry> */
    public function looks(): array
    {
        return $this->log->standing(EntryKind::Look);
    }
}
