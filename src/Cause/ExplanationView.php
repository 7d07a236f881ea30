<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use OpenApi\Attributes as OA;

/** A reduced explanation: one cause, or two that are both needed. */
#[OA\Schema]
final readonly class ExplanationView
{
    /** @param list<string> $causes */
    public function __construct(
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $causes,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public float $probability,
    ) {
    }
}
