<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use MuteTapper\App\Record\UnreadEntry;
use OpenApi\Attributes as OA;

/** An entry that is stored and cannot be read: it counts for nothing, and can be taken back. */
#[OA\Schema]
final readonly class UnreadEntryView
{
    private function __construct(
        public string $id,
        public string $kind,
        public string $place,
        public string $part,
        public string $item,
        public ?string $index,
        public string $by,
        public string $at,
        #[OA\Property(description: 'what is wrong with it')]
        public string $reason,
        #[OA\Property(description: 'as it is stored', type: 'object')]
        public mixed $raw,
    ) {
    }

    public static function of(UnreadEntry $entry): self
    {
        $slot = is_array($entry->raw['slot']) ? $entry->raw['slot'] : [];
        $word = static fn (mixed $value): string => is_string($value) ? $value : '';

        return new self(
            $word($entry->raw['id']), $word($entry->raw['kind']), $word($slot['place']), $word($slot['part']), $word($slot['item']),
            is_string($slot['index']) ? $slot['index'] : null, $word($entry->raw['by']), $word($entry->raw['at']), $entry->reason,
            $entry->raw,
        );
    }
}
