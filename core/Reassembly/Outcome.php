<?php

declare(strict_types=1);

namespace MuteTapper\Core\Reassembly;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\EntryLog;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Timeline\RunUnit;

/** How the engine came back: on which day, after how much running, and what became of the complaint. */
final readonly class Outcome
{
    public const PART = 'afterwards';
    public const ITEM = 'outcome';
    private const LONGEST = 1e6;

    /** @param string $day of the return: readings of that day stand under it */
    private function __construct(
        public string $day,
        public float $amount,
        public RunUnit $unit,
        public Symptom $symptom,
        public string $words,
    ) {
    }

    /** @throws BadDocument */
    public static function of(Entry $entry): self
    {
        return self::fromNode($entry->node(), $entry->slot->index ?? '');
    }

    /** How the engine came back last; null where it has not. */
    public static function last(EntryLog $log): ?self
    {
        $last = null;
        foreach ($log->standing(EntryKind::Outcome) as $entry) {
            $last = $last === null || $entry->slot->index > $last->slot->index ? $entry : $last;
        }

        return $last === null ? null : self::of($last);
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data, string $day = ''): self
    {
        $amount = $data->get('amount')->number();
        if ($amount < 0 || $amount > self::LONGEST) {
            throw BadDocument::at('/amount', sprintf('%s is not plausible; accepted is 0 to 1,000,000.', $amount));
        }

        return new self(
            $day, $amount, $data->maybe('unit')?->choice(RunUnit::class) ?? RunUnit::Hours, $data->get('symptom')->choice(Symptom::class),
            trim($data->maybe('words')?->text(2000) ?? ''),
        );
    }

    /** Null where the index is no day. */
    public static function slot(string $day): ?Slot
    {
        return preg_match('/^(\d{4})-(\d{2})-(\d{2})$/D', $day, $match) === 1
            && checkdate((int) $match[2], (int) $match[3], (int) $match[1])
            ? new Slot(Place::ENGINE, self::PART, self::ITEM, $day) : null;
    }

    /** Whether the call held so far: what it named is gone, and nothing else came. Null where it cannot be told. */
    public function held(): ?bool
    {
        return match ($this->symptom) {
            Symptom::Gone => true,
            Symptom::Same => false,
            Symptom::Less, Symptom::Other => null,
        };
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['amount' => $this->amount, 'unit' => $this->unit->value, 'symptom' => $this->symptom->value]
            + ($this->words === '' ? [] : ['words' => $this->words]);
    }
}
