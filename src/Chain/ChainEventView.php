<?php

declare(strict_types=1);

namespace MuteTapper\App\Chain;

use MuteTapper\Core\Chain\EventStanding;
use OpenApi\Attributes as OA;

/** A cause or mechanism in the chain of damage, or an event that a person added. */
#[OA\Schema]
final readonly class ChainEventView
{
    /**
     * @param list<string> $places codes of the stations where it left its marks
     * @param list<string> $signs codes of its marks that are there
     */
    public function __construct(
        public string $code,
        public string $label,
        public bool $isCause,
        public EventStanding $standing,
        #[OA\Property(description: 'in the story, from one; null where it is no part of it')]
        public ?int $number,
        #[OA\Property(description: 'what shows it, in a few words')]
        public string $evidence,
        #[OA\Property(description: 'its part of the story')]
        public string $sentence,
        #[OA\Property(description: 'why it followed, by the catalogue or by who linked it; empty where nothing leads to it')]
        public string $because,
        #[OA\Property(description: 'with the leading explanation at work; null where a person added it')]
        public ?float $probability,
        public array $places,
        public array $signs,
        #[OA\Property(description: 'where its evidence was recorded: story, before, teardown, bench; empty where there is none')]
        public string $step,
        #[OA\Property(description: 'which of the chains that hang together; that of the first event is 0')]
        public int $strand,
        public bool $needsAll,
        public bool $isOlder,
        #[OA\Property(description: 'who added it; empty where the catalogue has it')]
        public string $addedBy,
    ) {
    }
}
