<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use OpenApi\Attributes as OA;

/** The analyst’s call as it is being written. */
#[OA\Schema]
final readonly class CallView
{
    /** @param list<string> $causes */
    public function __construct(
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $causes,
        #[OA\Property]
        public string $words,
        #[OA\Property(description: 'per cent')]
        public ?int $confidence,
        #[OA\Property]
        public string $by,
    ) {
    }
}
