<?php

declare(strict_types=1);

namespace MuteTapper\App\Calculation;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\Core\Calculation\Trace;
use MuteTapper\Core\Quantity\UnitSystem;
use OpenApi\Attributes as OA;

/** The reasoning behind a result: formula, inputs with their origin, source, and what each adds to the uncertainty. */
#[OA\Schema]
final readonly class TraceView
{
    /** @param list<TraceInputView> $inputs */
    private function __construct(
        #[OA\Property]
        public string $calculation,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $formula,
        #[OA\Property(description: 'pub, practice or own')]
        public string $mark,
        #[OA\Property]
        public string $source,
        #[OA\Property(items: new OA\Items(ref: TraceInputView::class))]
        public array $inputs,
        #[OA\Property]
        public QuantityView $result,
    ) {
    }

    public static function of(Trace $trace, UnitSystem $units): self
    {
        $shares = $trace->shares();
        $inputs = [];
        foreach ($trace->calculation->inputs() as $input) {
            foreach ($trace->values->given[$input->name] as $given) {
                $inputs[] = new TraceInputView($input->name, $input->meaning, QuantityView::uncertain($given->value, $units), $given->origin, $shares[$input->name]);
            }
        }
        $source = $trace->calculation->source();

        return new self($trace->calculation->name(), $trace->calculation->title(), $trace->calculation->formula(), $source->mark, $source->text, $inputs, QuantityView::uncertain($trace->result, $units));
    }
}
