<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use OpenApi\Attributes as OA;

/** What a table says for a sheet: which column is which, what would be recorded, and what cannot be. */
#[OA\Schema]
final readonly class SheetCsvView
{
    /**
     * @param list<string> $headers of the file
     * @param list<string> $mapping what each of them is: a code of the targets, or nothing
     * @param list<FaceView> $targets what a column can be
     * @param list<CsvCellView> $cells
     * @param list<CsvRefusalView> $refusals
     */
    public function __construct(
        public array $headers,
        public array $mapping,
        public array $targets,
        public int $lines,
        public array $cells,
        public array $refusals,
    ) {
    }
}
