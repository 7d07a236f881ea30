<?php

declare(strict_types=1);

namespace MuteTapper\App\Calculation;

use MuteTapper\Core\Assessment\Calculations;
use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use OpenApi\Attributes as OA;

/** The declaration of a calculation. */
#[OA\Schema]
final readonly class CalculationView
{
    /**
     * @param string|null $home title of the sheet that it is at home on
     * @param list<CalculationInputView> $inputs
     */
    private function __construct(
        public string $name,
        public string $title,
        public string $formula,
        public string $mark,
        public string $source,
        public string $resultDimension,
        public ?string $home,
        public array $inputs,
    ) {
    }

    /** @return list<self> every declaration */
    public static function all(): array
    {
        $homes = Calculations::homes();

        return array_map(
            static fn (Calculation $calculation): self => self::of($calculation, $homes[$calculation->name()] ?? null), Calculations::all(),
        );
    }

    private static function of(Calculation $calculation, ?string $home): self
    {
        return new self(
            $calculation->name(), $calculation->title(), $calculation->formula(), $calculation->source()->mark,
            $calculation->source()->text, $calculation->resultDimension()->value, $home,
            array_map(
                static fn (Input $input): CalculationInputView => new CalculationInputView(
                    $input->name, $input->meaning, $input->dimension->value, $input->isList,
                ),
                $calculation->inputs(),
            ),
        );
    }
}
