<?php

declare(strict_types=1);

namespace MuteTapper\App\Library;

use OpenApi\Attributes as OA;

/** Something on a shelf of the library, as it stands or stood. */
#[OA\Schema]
final readonly class ShelvedItemView
{
    /**
     * @param array<string, mixed>|null $content null once it was taken off the shelf
     * @param string $sums what follows from the content, in words
     * @param bool $needsAct a calibration is overdue
     */
    public function __construct(
        public Shelf $shelf,
        public string $code,
        public string $name,
        public int $version,
        #[OA\Property(type: 'object', nullable: true, additionalProperties: new OA\AdditionalProperties())]
        public ?array $content,
        public string $by,
        #[OA\Property(format: 'date-time')]
        public string $at,
        public string $sums,
        public bool $needsAct,
    ) {
    }
}
