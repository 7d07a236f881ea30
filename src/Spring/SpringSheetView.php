<?php

declare(strict_types=1);

namespace MuteTapper\App\Spring;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\Core\Assessment\Assessment;
use OpenApi\Attributes as OA;

/** All that the spring sheet derives, by station. */
#[OA\Schema]
final readonly class SpringSheetView
{
    /**
     * @param list<MarginView> $margins
     * @param list<DerivedView> $derived
     * @param list<MiddleView> $middles
     */
    private function __construct(
        #[OA\Property]
        public int $revision,
        #[OA\Property(items: new OA\Items(ref: MarginView::class))]
        public array $margins,
        #[OA\Property(items: new OA\Items(ref: DerivedView::class))]
        public array $derived,
        #[OA\Property(items: new OA\Items(ref: MiddleView::class))]
        public array $middles,
    ) {
    }

    public static function of(Assessment $assessment, int $revision): self
    {
        $case = $assessment->case;
        $units = $case->settings->units;
        $margins = $derived = $middles = [];
        foreach ($assessment->springs->margins as $margin) {
            $margins[] = MarginView::of($margin, $case);
        }
        foreach ($assessment->springs->derived as $place => $traces) {
            foreach ($traces as $name => $trace) {
                $derived[] = new DerivedView($place, $name, $trace->calculation->title(), QuantityView::uncertain($trace->result, $units));
            }
        }
        foreach ($assessment->springs->middles as $middle) {
            $set = sprintf('%ss%s at %s', $middle->kind->word(), $middle->coil === 'inner' ? ', inner springs,' : '', $units->show($middle->height));
            $middles[] = new MiddleView($set, count($middle->trace->values->all('loads')), QuantityView::uncertain($middle->trace->result, $units));
        }

        return new self($revision, $margins, $derived, $middles);
    }
}
