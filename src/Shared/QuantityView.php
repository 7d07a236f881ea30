<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\UnitSystem;
use OpenApi\Attributes as OA;

/** A quantity ready to be shown: the figure in the case's unit, rounded to what a gauge resolves. */
#[OA\Schema]
final readonly class QuantityView
{
    /** Below this, in the base unit, a figure is the rounding of a computer. */
    private const NOTHING = 1e-9;

    private function __construct(
        #[OA\Property(description: 'figure without unit')]
        public string $figure,
        public string $unit,
        #[OA\Property(description: 'expanded uncertainty U = 2u, same unit')]
        public ?string $plusMinus,
        #[OA\Property(description: 'figure with unit and uncertainty')]
        public string $shown,
    ) {
    }

    /** A figure that is not nothing is not shown as nothing: it has two digits more. */
    public static function exact(Quantity $quantity, UnitSystem $units, Fineness $fineness = Fineness::Usual): self
    {
        if (abs($quantity->base) > self::NOTHING && (float) $units->figure($quantity, 0, $fineness) === 0.0) {
            [$figure, $unit] = [$units->figure($quantity, 2, $fineness), self::unit($quantity, $units, $fineness)];

            return new self($figure, $unit, null, trim($figure.' '.$unit));
        }

        return new self(
            $units->figure($quantity, 0, $fineness), self::unit($quantity, $units, $fineness), null, $units->show($quantity, $fineness),
        );
    }

    /** A value without any uncertainty is shown without a ±, and so is one whose ± is nothing even in a digit more. */
    public static function uncertain(Uncertain $value, UnitSystem $units, Fineness $fineness = Fineness::Usual): self
    {
        $quantity = $value->quantity();
        $unit = self::unit($quantity, $units, $fineness);
        $figure = $units->figure($quantity, 0, $fineness);
        $half = $units->figure($value->expanded(), 0, $fineness);
        if ((float) $half === 0.0) {
            $half = $units->figure($value->expanded(), 1, $fineness);
        }
        if ((float) $half === 0.0) {
            return self::exact($quantity, $units, $fineness);
        }

        return new self($figure, $unit, $half, trim(sprintf('%s ± %s %s', $figure, $half, $unit)));
    }

    private static function unit(Quantity $quantity, UnitSystem $units, Fineness $fineness): string
    {
        return $units->shownIn($quantity->dimension, $fineness)->symbol();
    }
}
