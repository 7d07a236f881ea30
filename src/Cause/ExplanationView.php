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
        public array $causes,
        public string $label,
        public float $probability,
    ) {
    }
}
