<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use OpenApi\Attributes as OA;

/** What the screens need of the knowledge. */
#[OA\Schema]
final readonly class CatalogueView
{
    /**
     * @param list<SignView> $signs
     * @param list<ColumnView> $columns
     * @param list<GaugeView> $gauges
     * @param list<SchoolView> $schools
     * @param list<QuestionView> $questions of the story
     * @param list<AskedView> $asked
     * @param list<SureView> $sure the surest first
     */
    public function __construct(
        public string $hash,
        public array $signs,
        public array $columns,
        public array $gauges,
        public array $schools,
        public array $questions,
        public array $asked,
        public array $sure,
    ) {
    }
}
