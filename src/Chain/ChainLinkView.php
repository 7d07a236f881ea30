<?php

declare(strict_types=1);

namespace MuteTapper\App\Chain;

use MuteTapper\Core\Chain\EventStanding;
use OpenApi\Attributes as OA;

/** That one event led to another, known as well as its weaker end is; where it was cut or drawn by a person, by whom and why. */
#[OA\Schema]
final readonly class ChainLinkView
{
    public function __construct(
        public string $from,
        public string $to,
        public EventStanding $standing,
        public bool $isCut,
        #[OA\Property(description: 'who drew, turned or cut it; empty where it is the catalogue’s')]
        public string $by,
        public string $words,
    ) {
    }
}
