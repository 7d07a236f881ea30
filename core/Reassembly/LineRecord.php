<?php

declare(strict_types=1);

namespace MuteTapper\Core\Reassembly;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\Slot;

/** A line of the reassembly as a person left it. */
final readonly class LineRecord
{
    public const ITEM = 'line';

    private function __construct(public LineState $state, public string $note, public string $choice)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data): self
    {
        $state = $data->get('state')->choice(LineState::class);
        $note = trim($data->maybe('note')?->text(1000) ?? '');
        if ($note === '' && $state !== LineState::Ticked) {
            throw BadDocument::at('/note', $state === LineState::Kept
                ? 'a value that is kept out of its range needs its reason.' : 'a line that is left out needs its reason.');
        }

        return new self($state, $note, trim($data->maybe('choice')?->text(200) ?? ''));
    }

    public static function slot(string $place, string $line): Slot
    {
        return new Slot($place, Tightening::PART, self::ITEM, $line);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['state' => $this->state->value] + array_filter(
            ['note' => $this->note, 'choice' => $this->choice], static fn (string $words): bool => $words !== '',
        );
    }
}
