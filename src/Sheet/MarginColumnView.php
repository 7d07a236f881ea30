<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use OpenApi\Attributes as OA;

/** A column of margin rules. */
#[OA\Schema]
final readonly class MarginColumnView
{
    /**
     * @param list<string> $index as in SheetColumnView; empty where any index will do
     */
    public function __construct(
        public string $key,
        public string $quantity,
        public string $title,
        public string $head,
        public array $index,
        public string $limitWords,
        public RuleField $field,
    ) {
    }
}
