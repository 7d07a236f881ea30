<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use OpenApi\Attributes as OA;

/** A cell of a table that can be recorded as a reading. */
#[OA\Schema]
final readonly class CsvCellView
{
    /**
     * @param string|null $atText height of a load, where the table tells it
     * @param string $field code of the column of the sheet
     */
    public function __construct(
        public string $place,
        public string $part,
        public string $item,
        public ?string $index,
        public string $text,
        public ?string $atText,
        public string $field,
        public int $line,
    ) {
    }
}
