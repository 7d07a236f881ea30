<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\UnitSystem;
use OpenApi\Attributes as OA;

/** A quantity ready to be shown: the figure in the case's unit, rounded to what a gauge resolves. */
#[OA\Schema]
final readonly class QuantityView
{
    private function __construct(
        #[OA\Property(description: 'figure without unit')]
        public string $figure,
        #[OA\Property]
        public string $unit,
        #[OA\Property(description: 'expanded uncertainty U = 2u, same unit')]
        public ?string $plusMinus,
        #[OA\Property(description: 'figure with unit and uncertainty')]
        public string $shown,
    ) {
    }

    public static function exact(Quantity $quantity, UnitSystem $units): self
    {
        return new self($units->figure($quantity), self::unit($quantity, $units), null, $units->show($quantity));
    }

    public static function uncertain(Uncertain $value, UnitSystem $units): self
    {
        $quantity = $value->quantity();
        $unit = self::unit($quantity, $units);
        $half = $units->figure($value->expanded());
        if ((float) $half === 0.0) {
            $half = $units->figure($value->expanded(), 1);
        }

        return new self($units->figure($quantity), $unit, $half, trim(sprintf('%s ± %s %s', $units->figure($quantity), $half, $unit)));
    }

    private static function unit(Quantity $quantity, UnitSystem $units): string
    {
        $unit = $units->unitOf($quantity->dimension)->value;

        return $unit === '1' ? '' : $unit;
    }
}
