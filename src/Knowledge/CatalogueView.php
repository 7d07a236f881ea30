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
     */
    public function __construct(
        #[OA\Property]
        public string $hash,
        #[OA\Property(items: new OA\Items(ref: SignView::class))]
        public array $signs,
        #[OA\Property(items: new OA\Items(ref: ColumnView::class))]
        public array $columns,
        #[OA\Property(items: new OA\Items(ref: GaugeView::class))]
        public array $gauges,
        #[OA\Property(items: new OA\Items(ref: SchoolView::class))]
        public array $schools,
        #[OA\Property(items: new OA\Items(ref: QuestionView::class))]
        public array $questions,
        #[OA\Property(items: new OA\Items(ref: AskedView::class))]
        public array $asked,
    ) {
    }
}
