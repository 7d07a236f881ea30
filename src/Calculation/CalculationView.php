<?php

declare(strict_types=1);

namespace MuteTapper\App\Calculation;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use OpenApi\Attributes as OA;

/** The declaration of a calculation. */
#[OA\Schema]
final readonly class CalculationView
{
    /** @param list<CalculationInputView> $inputs */
    private function __construct(
        public string $name,
        public string $title,
        public string $formula,
        public string $mark,
        public string $source,
        public string $resultDimension,
        public array $inputs,
    ) {
    }

    public static function of(Calculation $calculation): self
    {
        return new self(
            $calculation->name(), $calculation->title(), $calculation->formula(), $calculation->source()->mark,
            $calculation->source()->text, $calculation->resultDimension()->value,
            array_map(
                static fn (Input $input): CalculationInputView => new CalculationInputView(
                    $input->name, $input->meaning, $input->dimension->value, $input->isList,
                ),
                $calculation->inputs(),
            ),
        );
    }
}
