<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

use MuteTapper\Core\Document\BadDocument;

/** A whole part looked at, nothing there: says no to the signs that the catalogue of that day listed for the eye. */
final readonly class Look
{
    public const ITEM = 'look';

    private function __construct(
        public string $entryId,
        public string $place,
        public string $part,
        public SeenState $state,
        public ?string $knowledge,
    ) {
    }

    /** @throws BadDocument */
    public static function of(Entry $entry): self
    {
        return new self(
            $entry->id, $entry->slot->place, $entry->slot->part,
            $entry->node()->maybe('state')?->choice(SeenState::class) ?? SeenState::AsFound, $entry->knowledge,
        );
    }
}
