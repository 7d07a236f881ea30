<?php

declare(strict_types=1);

namespace MuteTapper\App\Entry;

use OpenApi\Attributes as OA;

/** The answer to a recorded entry. */
#[OA\Schema]
final readonly class RecordedEntry
{
    public function __construct(
        public EntryView $entry,
        #[OA\Property(description: 'revision of the case after it')]
        public int $revision,
    ) {
    }
}
