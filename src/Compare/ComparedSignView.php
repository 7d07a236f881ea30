<?php

declare(strict_types=1);

namespace MuteTapper\App\Compare;

use MuteTapper\Core\Compare\ComparedSign;
use OpenApi\Attributes as OA;

/** A sign that one of two groups shows more than the other. */
#[OA\Schema]
final readonly class ComparedSignView
{
    private function __construct(
        public string $sign,
        public string $name,
        public string $part,
        #[OA\Property(description: 'worst step of the first group; null where nobody looked')]
        public ?int $one,
        #[OA\Property(description: 'worst step of the second group; null where nobody looked')]
        public ?int $other,
    ) {
    }

    public static function of(ComparedSign $sign): self
    {
        return new self($sign->sign, $sign->name, $sign->part, $sign->one?->value, $sign->other?->value);
    }
}
