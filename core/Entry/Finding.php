<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

use MuteTapper\Core\Document\BadDocument;

/** A sign at a place: how bad, in which state the part was, and how sure the observer is. Absent is a finding too. */
final readonly class Finding
{
    private function __construct(
        public string $entryId,
        public string $place,
        public string $part,
        public string $sign,
        public Severity $severity,
        public SeenState $state,
        public float $sureness,
        public ?FillState $fill,
        public string $note,
    ) {
    }

    /** @throws BadDocument */
    public static function of(Entry $entry): self
    {
        $data = $entry->node();
        $sureness = $data->maybe('sureness')?->number() ?? 1.0;
        if ($sureness < 0.0 || $sureness > 1.0) {
            throw BadDocument::at('/sureness', 'how sure the observer is goes from 0 to 1.');
        }

        return new self(
            $entry->id,
            $entry->slot->place,
            $entry->slot->part,
            $entry->slot->item,
            $data->get('severity')->choice(Severity::class),
            $data->maybe('state')?->choice(SeenState::class) ?? SeenState::AsFound,
            $sureness,
            $data->maybe('fill')?->choice(FillState::class),
            $data->maybe('note')?->text(4000) ?? '',
        );
    }

    /**
     * Confidence that the sign is there: less sure pulls toward one half. Of what is told, not seen, how bad it is says
     * nothing of whether it is so.
     */
    public function confidence(bool $isReport = false): float
    {
        $severity = $isReport && $this->isPresent() ? Severity::Clear : $this->severity;

        return 0.5 + $this->sureness * $this->state->sureness() * ($severity->confidence() - 0.5);
    }

    public function isPresent(): bool
    {
        return $this->severity !== Severity::Absent;
    }
}
