<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use OpenApi\Attributes as OA;

/** One line of the ledger. */
#[OA\Schema]
final readonly class LedgerLineView
{
    /**
     * @param list<string> $places
     * @param list<string> $placeLabels
     */
    public function __construct(
        public string $sign,
        public string $name,
        #[OA\Property(description: 'what was found, in words')]
        public string $words,
        #[OA\Property(description: 'decibans; positive speaks for the cause')]
        public float $decibans,
        #[OA\Property(description: 'as a factor: ×6 or ÷1.8')]
        public string $factor,
        public array $places,
        public array $placeLabels,
        #[OA\Property(description: 'where it was recorded: teardown, bench or story')]
        public string $step,
        public ?string $part,
        #[OA\Property(description: 'not that it is there, but how its marks lie over the engine')]
        public bool $isSpread,
        #[OA\Property(description: 'weighed by a word that the shop has set, not by the one that came with the program')]
        public bool $isByShopsWord,
    ) {
    }
}
