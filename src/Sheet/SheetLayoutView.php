<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use MuteTapper\Core\CaseFile\Step;
use OpenApi\Attributes as OA;

/** A sheet as it is laid out for one engine: what stands in its rows and columns, without what was measured. */
#[OA\Schema]
final readonly class SheetLayoutView
{
    /**
     * @param Step $step of the work at which it is filled
     * @param bool $goesAcross whether Enter goes along a row before it goes down
     * @param list<SheetRowView> $rows
     * @param list<FaceView> $faces pages, where it has several
     * @param list<FaceView> $lines lines of each row, where it has several
     * @param list<SheetColumnView> $columns
     * @param list<ComputedColumnView> $computed
     * @param list<MarginColumnView> $margins
     * @param list<string> $questions asked of each row
     * @param bool $isLoose rows are parts off the engine: more can be added, by a tag
     */
    public function __construct(
        public string $code,
        public string $title,
        public Step $step,
        public bool $goesAcross,
        public array $rows,
        public array $faces,
        public array $lines,
        public array $columns,
        public array $computed,
        public array $margins,
        public array $questions,
        public bool $isLoose,
    ) {
    }
}
