<?php

declare(strict_types=1);

namespace MuteTapper\Core\Teardown;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\Slot;

/**
 * Pieces accounted for: how many there must be, how many lie on the tray. What is missing stays open until it is found.
 * A note names pieces that are no part of a station, such as head bolts.
 */
final readonly class Pieces
{
    public const ITEM = 'pieces';
    /** Two halves hold a valve. */
    public const LOCK_HALVES = 2;

    private function __construct(public int $expected, public int $found, public string $note)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data): self
    {
        return new self(
            $data->get('expected')->whole(0, 500), $data->get('found')->whole(0, 500), trim($data->maybe('note')?->text(1000) ?? ''),
        );
    }

    public static function slot(string $place, Part $part): Slot
    {
        return new Slot($place, $part->value, self::ITEM);
    }

    public function missing(): int
    {
        return max(0, $this->expected - $this->found);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['expected' => $this->expected, 'found' => $this->found] + ($this->note === '' ? [] : ['note' => $this->note]);
    }
}
